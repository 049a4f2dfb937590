import { massRule } from '@/core/units/rules';

export const HOLDINGS = ['stock', 'catalogue'] as const;
export const CONDITIONS = ['new', 'used'] as const;
export const SHELF_ORDERS = ['name', 'price'] as const;

export const RATING_RULE = massRule(1, 100_000);
