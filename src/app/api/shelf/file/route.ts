import { shelfAskSchema } from '@/contracts/shelf';
import { downloadRoute, fileRoute } from '@/server/http';
import { exportParts, importParts } from '@/server/shelf';

const LARGEST = 15_000_000;

export const GET = downloadRoute(shelfAskSchema, 'text/csv', exportParts);
export const POST = fileRoute((tx, text, query) => importParts(tx, text, query.get('apply') === 'yes'), LARGEST);
