/** Said where the database holds no studio yet. */
export function NoStudio() {
  return (
    <section style={{ padding: 40 }}>
      <h1>No studio yet</h1>
      <p className="quiet">
        Start with <code>npm start</code> for your own studio, or <code>npm run demo</code> to look round in an invented
        one.
      </p>
    </section>
  );
}
