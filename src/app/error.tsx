'use client';

export default function ErrorPage({ reset }: { readonly error: Error; readonly reset: () => void }) {
  return (
    <section style={{ padding: 40, display: 'grid', gap: 12, justifyItems: 'start' }} role="alert">
      <h1>This page could not be shown</h1>
      <p>What you saved is kept. Try again; if it happens again, start Strickle anew.</p>
      <button type="button" onClick={reset} style={{ minHeight: 44, padding: '0 16px' }}>
        Try again
      </button>
    </section>
  );
}
