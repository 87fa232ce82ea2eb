import { ExportQuery } from '@iunctus/contract';
import { Router } from 'express';
import type pg from 'pg';
import { idIn, read, viewerOf } from '../http/handle';
import { problem } from '../http/problem';
import { EXPORT_FORMATS, exportChart } from './exports.service';

/** Taking a chart out as a file. With `first` and `last` it bears the amounts of those months. */
export const exportRoutes = (pool: pg.Pool): Router => {
  const router = Router();
  router.get('/clients/:clientId/exports/:format', async (request, response) => {
    const format = EXPORT_FORMATS.find((one) => one === request.params['format']);
    const { name, type, content } = await exportChart(pool, viewerOf(response), {
      clientId: idIn(request, 'clientId'),
      format: format ?? problem({ code: 'notFound' }),
      query: read(ExportQuery, request.query),
      today: new Date().toISOString().slice(0, 10),
    });
    response.attachment(name).type(type);
    response.send(typeof content === 'string' ? content : Buffer.from(content));
  });
  return router;
};
