import { stripsSvg } from '@/formats/stripsSvg';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { notFound } from '@/server/errors';
import { fileResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { plannedBench } from '@/server/services/bench';
import { stripsPdf } from '@/server/services/stripsPdf';

export const dynamic = 'force-dynamic';

/** The strips as a PDF of all zones, or (`?zone=underarm&side=left`) one zone as an SVG; neither names the client. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: async (request, { id }) => {
    const asked = new URL(request.url).searchParams;
    const bench = plannedBench(getDb(), id, nowMs());
    if (!bench.ok) return toResponse(bench);
    const { plan, products } = bench.value;
    if (asked.get('zone') === null) {
      const pdf = await stripsPdf(plan, (p) => products.find((k) => k.id === p)?.name ?? p);
      return fileResponse(new Uint8Array(pdf), 'application/pdf', 'strips.pdf');
    }
    const zone = plan.zones.find((z) => z.zone === asked.get('zone') && z.side === asked.get('side'));
    if (!zone || zone.strips.length === 0) return toResponse(notFound('zone with strips of this visit'));
    return fileResponse(stripsSvg(zone), 'image/svg+xml', `strips-${zone.zone}-${zone.side}.svg`);
  },
});
