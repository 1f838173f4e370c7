import { Link } from '@/ui/Link';

export default function NotFound() {
  return (
    <section style={{ padding: 40, display: 'grid', gap: 8 }}>
      <h1>Not here</h1>
      <p>There is no such page, client or visit in this studio. Nothing was changed.</p>
      <p>
        <Link href="/">To today</Link> · <Link href="/clients">To the clients</Link>
      </p>
    </section>
  );
}
