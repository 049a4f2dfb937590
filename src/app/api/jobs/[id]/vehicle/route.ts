import { vehicleEditSchema } from '@/contracts/vehicle';
import { editVehicle } from '@/server/ask';
import { idRoute } from '@/server/http';

export const PUT = idRoute('note', vehicleEditSchema, editVehicle);
