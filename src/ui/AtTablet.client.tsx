'use client';

import { Dropdown } from 'antd';
import { useRouter } from 'next/navigation';
import { markOf } from './marks';
import styles from './TopBar.module.css';

interface Props {
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly person: string | null;
}

/** Who stands at this tablet, by their mark: changes of cards and rules are written down under this name. */
export function AtTablet({ people, person }: Props) {
  const router = useRouter();
  if (people.length === 0) return null;
  const choose = (id: string): void => {
    document.cookie = `strickle-person=${encodeURIComponent(id)}; path=/; max-age=${id === '' ? 0 : 31_536_000}; samesite=strict`;
    router.refresh();
  };
  const name = people.find((p) => p.id === person)?.name;
  return (
    <Dropdown
      trigger={['click']}
      menu={{
        selectable: true,
        selectedKeys: person === null ? [] : [person],
        items: [
          ...people.map((p) => ({ key: p.id, label: p.name })),
          ...(person === null ? [] : [{ key: '', label: 'Not said' }]),
        ],
        onClick: ({ key }) => choose(key),
      }}
    >
      <button
        type="button"
        className={styles.person}
        aria-label={name === undefined ? 'Who is here? Not said' : `At this tablet: ${name}`}
        title={name ?? 'Who is here?'}
        data-known={name !== undefined}
      >
        {person === null ? '?' : markOf(people, person)}
      </button>
    </Dropdown>
  );
}
