'use client';
import { Select } from 'antd';
import { useRouter } from 'next/navigation';
import { type Person } from '@/contracts/job';
import { Chips } from '../controls/Chips';
import { useView } from '../theme/Providers';

/** Person, unit and light of this screen. */
export function Tools({ people, person }: { people: readonly Person[]; person: string }) {
  const { lengths, setLengths, dark, setDark } = useView();
  const router = useRouter();
  return (
    <div className="tools">
      <Select
        aria-label="At work"
        value={person}
        popupMatchSelectWidth={false}
        options={people.map((p) => ({ value: p.id, label: p.name }))}
        onChange={(id) => {
          document.cookie = `gravelwort-person=${id}; path=/; max-age=31536000; samesite=strict`;
          router.refresh();
        }}
      />
      <Chips
        label="Lengths shown in"
        options={[
          { id: 'in', name: 'in 1/16' },
          { id: 'mm', name: 'mm' },
        ]}
        value={lengths}
        onPick={setLengths}
      />
      <Chips
        label="Light"
        options={[
          { id: 'day', name: 'day' },
          { id: 'night', name: 'night' },
        ]}
        value={dark ? 'night' : 'day'}
        onPick={(light) => setDark(light === 'night')}
      />
    </div>
  );
}
