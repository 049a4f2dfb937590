import { LARGEST_BUNDLE } from '@/contracts/bundle';
import { bytesRoute } from '@/server/http';
import { sendFile } from '@/server/runs';

export const POST = bytesRoute('work', sendFile, LARGEST_BUNDLE);
