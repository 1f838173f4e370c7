import { bookingRequest } from '@/formats/deskRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { changeBooking, type Booked, type ChangeBooking } from '@/server/services/bookings';

export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  PUT: (request, { id }) =>
    write<ChangeBooking, Booked>(request, {
      db: getDb(),
      schema: bookingRequest,
      run: (body) => changeBooking(getDb(), id, body, nowMs()),
      tells: () => [{ kind: 'day' }],
    }),
});
