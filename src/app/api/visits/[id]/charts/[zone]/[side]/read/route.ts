import { readChartFile, type ChartTarget } from '@/formats/chartFile';
import { chartFileRequest } from '@/formats/requests';
import type { ZoneId, Side } from '@/core/anatomy';
import { getDb } from '@/server/db/client';
import { notFound } from '@/server/errors';
import { chartsOf } from '@/server/repos/visitRepo';
import { handle, toResponse } from '@/server/toResponse';

/** Reads a chart out of a file's text; nothing is written. */
export async function POST(
  request: Request,
  context: { params: Promise<{ id: string; zone: string; side: string }> },
): Promise<Response> {
  const { id, zone, side } = await context.params;
  return handle<{ text: string; sheetCm: ChartTarget['sheetCm'] }>(request, chartFileRequest, ({ text, sheetCm }) => {
    if (!chartsOf(getDb(), id).some((c) => c.zone === zone && c.side === side)) {
      return toResponse(notFound('zone of this visit'));
    }
    // a chart of this visit has them: they are right
    const read = readChartFile(text, { zone: zone as ZoneId, side: side as Side, sheetCm });
    return toResponse(
      read.ok
        ? read
        : {
            ok: false,
            error: { code: 'invalid', message: 'The file was not taken. Nothing was changed.', details: read.faults },
          },
    );
  });
}
