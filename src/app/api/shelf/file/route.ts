import { shelfAskSchema } from '@/contracts/shelf';
import { downloadRoute, fileRoute } from '@/server/http';
import { exportParts, importParts } from '@/server/shelf';

const LARGEST = 15_000_000;

export const GET = downloadRoute('read', shelfAskSchema, { type: 'text/csv', name: 'parts.csv' }, exportParts);
export const POST = fileRoute(
  'work',
  (inTx, text, query, asker, tell) => importParts(inTx, text, query.get('apply') === 'yes', asker, tell),
  LARGEST,
);
