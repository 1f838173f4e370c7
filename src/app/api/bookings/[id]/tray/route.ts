import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { fileResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { trayCard } from '@/server/services/trayCard';
import { trayCardPdf } from '@/server/services/trayCardPdf';

export const dynamic = 'force-dynamic';

/** The tray card of a booked visit as a PDF, A5. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (_, { id }) => {
    const card = trayCard(getDb(), id, nowMs());
    return card.ok ? fileResponse(trayCardPdf(card.value), 'application/pdf', 'tray.pdf') : toResponse(card);
  },
});
