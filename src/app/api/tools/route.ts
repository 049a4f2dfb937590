import { toolEditSchema } from '@/contracts/tool';
import { shopRoute } from '@/server/http';
import { saveTool, toolsOfShop } from '@/server/prepare';

export const GET = shopRoute('read', null, toolsOfShop);
export const PUT = shopRoute('work', toolEditSchema, saveTool);
