import { type Thread } from '../thread/thread';

/** Property classes of metric bolts and grades of inch bolts, by their head marks. */
export const GRADES = {
  '8.8': { system: 'metric', mark: '8.8 in figures', lines: null },
  '10.9': { system: 'metric', mark: '10.9 in figures', lines: null },
  '12.9': { system: 'metric', mark: '12.9 in figures', lines: null },
  'grade 2': { system: 'unified', mark: 'no lines', lines: 'no lines' },
  'grade 5': { system: 'unified', mark: '3 lines, 120° apart', lines: '3 lines' },
  'grade 8': { system: 'unified', mark: '6 lines, 60° apart', lines: '6 lines' },
} as const satisfies Record<string, { system: Thread['system']; mark: string; lines: string | null }>;
export type Grade = keyof typeof GRADES;
export const GRADE_IDS = Object.keys(GRADES) as [Grade, ...Grade[]];

const KSI = 6.894757;

/**
 * Proof stress of a bolt, MPa: what it bears without a lasting stretch. ISO 898-1 for metric classes, SAE J429 for inch grades,
 * both from memory. null where the grade is not made in that size. @param diameter mm
 */
export function proofStress(grade: Grade, diameter: number): number | null {
  const inches = diameter / 25.4;
  switch (grade) {
    case '8.8':
      return diameter <= 16 ? 580 : 600;
    case '10.9':
      return 830;
    case '12.9':
      return 970;
    case 'grade 2':
      return inches <= 0.75 ? 55 * KSI : 33 * KSI;
    case 'grade 5':
      return inches <= 1 ? 85 * KSI : inches <= 1.5 ? 74 * KSI : null;
    case 'grade 8':
      return inches <= 1.5 ? 120 * KSI : null;
  }
}
