import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { importProgress } from '@/server/services/clientsCsv';

export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (_, { id }) => toResponse(importProgress(getDb(), id)),
});
