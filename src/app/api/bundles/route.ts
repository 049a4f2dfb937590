import { LARGEST_BUNDLE } from '@/contracts/bundle';
import { bringIn } from '@/server/files/jobBundle';
import { bytesRoute, vouch } from '@/server/http';

export const POST = bytesRoute(vouch('brought a job of another shop in'), bringIn, LARGEST_BUNDLE);
