import { BUSH_TYPE_IDS, BUSH_TYPES } from '@/core/bush/types';
import { stressArea } from '@/core/fastener/clamp';
import { GRADE_IDS, GRADES, proofStress } from '@/core/fastener/grade';
import { CLEARANCE, DRILLS } from '@/core/fastener/hole';
import { ACROSS_INCH, ACROSS_METRIC, ACROSS_OLD_METRIC, NUT_INCH, NUT_METRIC } from '@/core/fastener/spanner';

import { threadNamed } from '@/core/thread/thread';
import { Sheet } from '../controls/Sheet';

const METRIC = [
  'M6',
  'M8',
  'M10',
  'M10 x 1.25',
  'M12',
  'M12 x 1.5',
  'M14',
  'M14 x 1.5',
  'M16',
  'M16 x 1.5',
  'M18',
  'M20',
  'M22',
  'M24',
];
const INCH = ['1/4', '5/16', '3/8', '7/16', '1/2', '9/16', '5/8', '3/4', '7/8', '1'];

const areaOf = (name: string): string => {
  const thread = threadNamed(name);
  return thread && thread.pitch !== null ? stressArea(thread).toFixed(1) : '';
};

/** Threads, nuts, holes and head marks. */
export function ThreadTables() {
  return (
    <div className="sheets">
      <Sheet title="Metric threads" aside={<span className="muted">ISO 898-1, ISO 273, ISO 4032; from memory</span>}>
        <div className="scroll">
          <table className="plain">
            <thead>
              <tr>
                <th scope="col">thread</th>
                <th scope="col" className="number">
                  pitch, mm
                </th>
                <th scope="col" className="number">
                  stress area, mm²
                </th>
                <th scope="col" className="number">
                  across flats, mm
                </th>
                <th scope="col" className="number">
                  nut, mm
                </th>
                <th scope="col" className="number">
                  hole, close
                </th>
                <th scope="col" className="number">
                  medium
                </th>
                <th scope="col" className="number">
                  free
                </th>
              </tr>
            </thead>
            <tbody>
              {METRIC.map((name) => {
                const thread = threadNamed(name)!;
                const old = ACROSS_OLD_METRIC[thread.diameter];
                const holes = CLEARANCE[thread.diameter];
                return (
                  <tr key={name}>
                    <td>{name}</td>
                    <td className="number figure">{thread.pitch}</td>
                    <td className="number figure">{areaOf(name)}</td>
                    <td className="number figure">
                      {ACROSS_METRIC[thread.diameter]}
                      {old ? ` (old ${old})` : ''}
                    </td>
                    <td className="number figure">{NUT_METRIC[thread.diameter]}</td>
                    {[0, 1, 2].map((k) => (
                      <td key={k} className="number figure">
                        {holes?.[k]}
                      </td>
                    ))}
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      </Sheet>
      <Sheet title="Inch threads" aside={<span className="muted">ASME B1.1, B18.2; from memory</span>}>
        <div className="scroll">
          <table className="plain">
            <thead>
              <tr>
                <th scope="col">size</th>
                <th scope="col">coarse</th>
                <th scope="col" className="number">
                  area, mm²
                </th>
                <th scope="col">fine</th>
                <th scope="col" className="number">
                  area, mm²
                </th>
                <th scope="col">across flats</th>
                <th scope="col">nut</th>
              </tr>
            </thead>
            <tbody>
              {INCH.map((size) => {
                const [coarse, fine] = ['UNC', 'UNF'].map((series) => threadNamed(`${size} ${series}`)?.name ?? '');
                return (
                  <tr key={size}>
                    <td>{size} in</td>
                    <td>{coarse}</td>
                    <td className="number figure">{areaOf(coarse ?? '')}</td>
                    <td>{fine}</td>
                    <td className="number figure">{areaOf(fine ?? '')}</td>
                    <td>{ACROSS_INCH[size]}</td>
                    <td>{NUT_INCH[size]}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      </Sheet>
      <Sheet title="Head marks and proof" aside={<span className="muted">ISO 898-1, SAE J429; from memory</span>}>
        <div className="scroll">
          <table className="plain">
            <tbody>
              {GRADE_IDS.map((grade) => (
                <tr key={grade}>
                  <td>{grade}</td>
                  <td>{GRADES[grade].mark}</td>
                  <td className="number figure">{proofStress(grade, 12.7)!.toFixed(0)} MPa at 1/2 in or M12</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </Sheet>
    </div>
  );
}

/** Drills a shop has, by size. */
export function DrillTable() {
  const sorted = DRILLS.toSorted((p, q) => p.diameter - q.diameter);
  return (
    <Sheet title="Drills" aside={<span className="muted">number and letter drills from memory</span>}>
      <ul className="drills">
        {sorted.map((drill) => (
          <li key={drill.name}>
            <span>{drill.name}</span> <span className="figure muted">{drill.diameter.toFixed(2)}</span>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

/** Kinds of bushes and what each wants. */
export function BushTable() {
  return (
    <Sheet title="Bushes" aside={<span className="muted">common practice; the maker’s word goes before it</span>}>
      <div className="scroll">
        <table className="plain">
          <thead>
            <tr>
              <th scope="col">kind</th>
              <th scope="col">old shell</th>
              <th scope="col">grease</th>
              <th scope="col">tighten</th>
            </tr>
          </thead>
          <tbody>
            {BUSH_TYPE_IDS.map((id) => (
              <tr key={id}>
                <td>{BUSH_TYPES[id].name}</td>
                <td>{{ kept: 'stays in the eye', out: 'comes out with it', none: 'none' }[BUSH_TYPES[id].shell]}</td>
                <td>{BUSH_TYPES[id].grease}</td>
                <td>{BUSH_TYPES[id].tighten}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Sheet>
  );
}
