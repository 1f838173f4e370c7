export default function Loading() {
  return (
    <p aria-busy="true" className="quiet" style={{ padding: 24 }}>
      Laying out the bench …
    </p>
  );
}
