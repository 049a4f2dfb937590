/** Unsprung mass per axle to start from, kg, by use. Common practice, ±20 %. */
export const AXLE_CLASSES = {
  cartFront: { label: 'cart, front', unsprung: 25, driven: false },
  cartRear: { label: 'cart, rear with motor', unsprung: 90, driven: true },
  trailer1t: { label: 'trailer axle, 1 t', unsprung: 70, driven: false },
  trailer3t: { label: 'trailer axle, 3 t', unsprung: 135, driven: false },
  pickupRear: { label: 'pickup, rear', unsprung: 190, driven: true },
  oneTonRear: { label: 'one-ton, rear', unsprung: 265, driven: true },
  dualWheel: { label: 'dual-wheel rear', unsprung: 380, driven: true },
  fourByFourFront: { label: 'four-by-four, front', unsprung: 245, driven: true },
  truck6t: { label: 'truck axle, 6 t', unsprung: 600, driven: true },
  heavyDrive: { label: 'heavy drive axle', unsprung: 1050, driven: true },
} as const;
export type AxleClass = keyof typeof AXLE_CLASSES;
