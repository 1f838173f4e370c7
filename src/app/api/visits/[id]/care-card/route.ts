import { careCardRequest } from '@/formats/deskRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { fileResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { careCard, postCareCard, type ChosenNext } from '@/server/services/careCard';
import { careCardPdf } from '@/server/services/careCardPdf';

export const dynamic = 'force-dynamic';

/** A next visit that is chosen and not booked yet, `?next=EPOCH_MS&minutes=N`. */
function chosenOf(url: string): ChosenNext | undefined {
  const asked = new URL(url).searchParams;
  const [startsAtMs, minutes] = [Number(asked.get('next') ?? NaN), Number(asked.get('minutes') ?? NaN)];
  return Number.isSafeInteger(startsAtMs) && Number.isSafeInteger(minutes) ? { startsAtMs, minutes } : undefined;
}

/** GET: the care card as a PDF, A5. POST: the same words into the simulated post box. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (request, { id }) => {
    const card = careCard(getDb(), id, nowMs(), chosenOf(request.url));
    return card.ok ? fileResponse(careCardPdf(card.value), 'application/pdf', 'after-care.pdf') : toResponse(card);
  },
  POST: (request, { id }) =>
    write<{ readonly next: ChosenNext | null }, { readonly id: string }>(request, {
      db: getDb(),
      schema: careCardRequest,
      run: ({ next }) => postCareCard(getDb(), id, nowMs(), next ?? undefined),
      okStatus: 201,
    }),
});
