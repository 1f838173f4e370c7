/** Keeps the page still while the day is planned. */
export default function Loading() {
  return (
    <section style={{ padding: '28px 40px' }} aria-busy="true">
      <h1 className="quiet">Planning the day …</h1>
    </section>
  );
}
