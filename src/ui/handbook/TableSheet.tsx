import { BushTable, DrillTable, ThreadTables } from './Tables';
import { KeyTable, LimitTable, SchoolTable, TermTable } from './Words';

export type TableId = 'threads' | 'drills' | 'bushes' | 'terms' | 'limits' | 'schools' | 'keys';

/** One table of the handbook. @param find what the words of the trade are searched for */
export function TableSheet({ id, find }: { id: TableId; find: string }) {
  switch (id) {
    case 'threads':
      return <ThreadTables />;
    case 'drills':
      return <DrillTable />;
    case 'bushes':
      return <BushTable />;
    case 'terms':
      return <TermTable search={find} />;
    case 'limits':
      return <LimitTable />;
    case 'schools':
      return <SchoolTable />;
    case 'keys':
      return <KeyTable />;
  }
}
