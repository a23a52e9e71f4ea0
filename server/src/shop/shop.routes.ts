import { readWith, writtenShopSchema } from '@yardland/core';
import { Router } from 'express';
import { check } from '../http/refusal';
import type { ShopStore } from './shop.store';

/** The shop's materials and constants: read whole, written whole with the revision that was seen. */
export function shopRoutes(shops: ShopStore): Router {
  const router = Router();
  router.get('/', (_request, response) => {
    response.json(shops.stored());
  });
  router.get('/uses/:id', ({ params }, response) => {
    response.json(shops.uses(params.id));
  });
  router.put('/', (request, response) => {
    response.json(shops.change(check(writtenShopSchema, request.body, readWith)));
  });
  return router;
}
