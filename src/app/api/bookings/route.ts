import { newBookingRequest } from '@/formats/deskRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { book, type Booked, type NewBooking } from '@/server/services/bookings';

export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    write<NewBooking, Booked>(request, {
      db: getDb(),
      schema: newBookingRequest,
      run: (body) => book(getDb(), body, nowMs()),
      okStatus: 201,
      tells: () => [{ kind: 'day' }],
    }),
});
