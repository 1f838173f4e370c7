import { Alert } from 'antd';

/** What went wrong, said at once; nothing where nothing did. */
export function Fault({ text }: { readonly text: string | null }) {
  return text === null ? null : <Alert type="error" role="alert" title={text} />;
}
