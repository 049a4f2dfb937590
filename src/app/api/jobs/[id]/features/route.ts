import { newFeatureSchema } from '@/contracts/kit';
import { addFeature } from '@/server/ask';
import { idRoute } from '@/server/http';

export const POST = idRoute('note', newFeatureSchema, addFeature);
