import { vehicleEditSchema } from '@/contracts/job';
import { editVehicle } from '@/server/ask';
import { idRoute } from '@/server/http';

export const PUT = idRoute(vehicleEditSchema, editVehicle);
