import type { Signature } from '@/server/db/schema';

/** A signature from its strokes, cut to its own size. */
export function SignatureView({ signature, of }: { readonly signature: Signature; readonly of: string }) {
  if (signature.kind === 'typed') return <span>Signed by name: {signature.name}</span>;
  const points = signature.strokes.flat();
  if (points.length === 0) return <span>No strokes.</span>;
  const [x0, x1] = [Math.min(...points.map((p) => p[0])), Math.max(...points.map((p) => p[0]))];
  const [y0, y1] = [Math.min(...points.map((p) => p[1])), Math.max(...points.map((p) => p[1]))];
  return (
    <svg
      viewBox={`${x0 - 6} ${y0 - 6} ${x1 - x0 + 12} ${y1 - y0 + 12}`}
      role="img"
      aria-label={`Signature of ${of}`}
      style={{ height: 48, maxWidth: 220, display: 'block' }}
    >
      {signature.strokes.map((s, i) => (
        <path
          key={i}
          d={s.map(([x, y], k) => `${k === 0 ? 'M' : 'L'}${x} ${y}`).join(' ')}
          fill="none"
          stroke="var(--walnut)"
          strokeWidth="4"
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      ))}
    </svg>
  );
}
