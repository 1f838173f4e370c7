import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { fileResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { loadShelf } from '@/server/services/shelf';
import { ordersCsv } from '@/server/services/ordersCsv';

export const dynamic = 'force-dynamic';

/** What to order, as a table (CSV). */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: () => {
    const shelf = loadShelf(getDb(), nowMs());
    return shelf.ok ? fileResponse(ordersCsv(shelf.value), 'text/csv; charset=utf-8', 'orders.csv') : toResponse(shelf);
  },
});
