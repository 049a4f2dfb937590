/** What stands in front of a vehicle's axles, and what its places along the frame are counted from. */
interface VehicleForm {
  name: string;
  /** Places are told as so much behind this. */
  nose: string;
  /** Its nose hangs on another vehicle, which holds it at one height. */
  hitched: boolean;
}

const WHEELS = { nose: 'the front axle', hitched: false } as const;
export const VEHICLE_FORMS = {
  truck: { name: 'truck, pickup or car', ...WHEELS },
  bus: { name: 'bus', ...WHEELS },
  cart: { name: 'cart', ...WHEELS },
  trailer: { name: 'trailer on a tongue', nose: 'the coupling', hitched: true },
  fifthWheel: { name: 'trailer on a fifth wheel', nose: 'the kingpin', hitched: true },
} as const satisfies Record<string, VehicleForm>;

export type VehicleFormId = keyof typeof VEHICLE_FORMS;
export const VEHICLE_FORM_IDS = Object.keys(VEHICLE_FORMS) as [VehicleFormId, ...VehicleFormId[]];
export const formOf = (id: VehicleFormId): VehicleForm => VEHICLE_FORMS[id];
