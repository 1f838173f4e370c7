import type { Side, ZoneId } from '@/core/anatomy';
import { readChartFile, type ChartTarget } from '@/formats/chartFile';
import { chartFileRequest } from '@/formats/requests';
import { getDb } from '@/server/db/client';
import { notFound, type ServiceResult } from '@/server/errors';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { chartsOf } from '@/server/repos/visitRepo';

interface Body {
  readonly text: string;
  readonly sheetCm: ChartTarget['sheetCm'];
}

const notTaken = (details: readonly { readonly path: string; readonly message: string }[]): ServiceResult<never> => ({
  ok: false,
  error: { code: 'invalid', message: 'The file was not taken. Nothing was changed.', details },
});

/** Reads a chart out of a file's text; nothing is written. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string; zone: string; side: string }>({
  POST: (request, { id, zone, side }) =>
    ask<Body>(request, chartFileRequest, ({ text, sheetCm }) => {
      if (!chartsOf(getDb(), id).some((c) => c.zone === zone && c.side === side)) {
        return toResponse(notFound('zone of this visit'));
      }
      // a chart of this visit has them: they are right
      const read = readChartFile(text, { zone: zone as ZoneId, side: side as Side, sheetCm });
      return toResponse(read.ok ? read : notTaken(read.faults));
    }),
});
