import { openApi } from '@/server/programs/openApi';

/** How programs may ask: known to everybody. */
export const GET = (): Response => Response.json(openApi());
