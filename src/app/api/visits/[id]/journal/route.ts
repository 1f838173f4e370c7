import { journalRoute } from '@/server/http/journalRoute';

export const dynamic = 'force-dynamic';

export const { GET, POST, PUT, PATCH, DELETE } = journalRoute;
