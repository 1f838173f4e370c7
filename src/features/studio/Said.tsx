import styles from './Studio.module.css';

/** What became of the last act. */
export const Said = ({ said }: { readonly said: { readonly text: string; readonly bad: boolean } | null }) =>
  said ? (
    <p role={said.bad ? 'alert' : 'status'} className={said.bad ? styles.bad : undefined}>
      {said.text}
    </p>
  ) : null;
