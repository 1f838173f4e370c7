import { COLOURS, DONE_COLOUR, type Colour } from '@/core/kitchen';
import styles from './Kitchen.module.css';

/** Sugar as it browns: the colours themselves, from memory of many pots; the words beside them count. */
const SHADES: Readonly<Record<Colour, string>> = {
  straw: '#f3e3b8',
  'pale gold': '#efcf83',
  gold: '#e5b752',
  'honey-gold': '#d99a2b',
  amber: '#c07518',
  brown: '#84430e',
  burnt: '#43200f',
};

interface Props {
  readonly value: Colour | null;
  readonly onChange: (colour: Colour) => void;
}

/** The colour of the syrup as it is seen; honey-gold is done. */
export function Colours({ value, onChange }: Props) {
  return (
    <div className={styles.colours} role="group" aria-label="Colour now">
      <h2>Colour now</h2>
      <div>
        {COLOURS.map((colour) => (
          <button
            key={colour}
            type="button"
            aria-label={colour}
            aria-pressed={colour === value}
            title={colour}
            style={{ background: SHADES[colour] }}
            onClick={() => onChange(colour)}
          />
        ))}
      </div>
      <p>
        <b>{value ?? 'not looked at yet'}</b>
        <span className="quiet">{value === DONE_COLOUR ? 'the colour of done' : `${DONE_COLOUR} when done`}</span>
      </p>
    </div>
  );
}
