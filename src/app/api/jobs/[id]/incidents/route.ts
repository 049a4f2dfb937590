import { newIncidentSchema } from '@/contracts/incident';
import { noteIncident } from '@/server/build';
import { idRoute } from '@/server/http';

export const POST = idRoute('note', newIncidentSchema, noteIncident);
