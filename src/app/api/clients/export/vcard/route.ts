import { getDb } from '@/server/db/client';
import { fileResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { inPieces } from '@/server/http/inPieces';
import { exportVcards } from '@/server/services/clientsCsv';

export const dynamic = 'force-dynamic';

export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: () => fileResponse(inPieces(exportVcards(getDb())), 'text/vcard; charset=utf-8', 'clients.vcf'),
});
