import { routes, type BookCutting, type StoredShopEntry } from '@kobran/contract';
import { catalog as shipped, withShop, type Catalog, type ShopEntry, type ShopKind } from '@kobran/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, use, useMemo, type ReactNode } from 'react';
import { Outlet } from 'react-router';
import { toast } from 'sonner';
import { call, Refused, messageOf } from './client.js';
import { shopOf } from './queries.js';
import { Message } from '../ui/Message.js';

export interface Shop {
  /** The shipped catalogue with what the shop has added. */
  catalog: Catalog;
  own: readonly StoredShopEntry[];
  put: (entry: ShopEntry) => Promise<boolean>;
  remove: (entry: ShopEntry) => Promise<boolean>;
  import: (entries: readonly ShopEntry[]) => Promise<boolean>;
  /** Cable leaves the shelf, or comes back: with what is logged of it. */
  book: (booking: BookCutting) => Promise<boolean>;
}

const Context = createContext<Shop | undefined>(undefined);

/** The catalogue everybody reads, and the ways to add to it. */
export function ShopProvider({
  children,
  meanwhile = <Message title="One moment…" />,
}: {
  children: ReactNode;
  /** Until it is known what the shop has. */
  meanwhile?: ReactNode;
}): ReactNode {
  const queries = useQueryClient();
  const { data, failureCount } = useQuery(shopOf);
  const shop = useMemo((): Shop => {
    const own = data?.entries ?? [];
    const versionOf = (kind: ShopKind, id: string): number =>
      own.find((entry) => entry.kind === kind && entry.data.id === id)?.version ?? 0;
    const done = async (change: Promise<unknown>): Promise<boolean> => {
      try {
        await change;
        await queries.invalidateQueries({ queryKey: shopOf.queryKey });
        return true;
      } catch (error) {
        if (error instanceof Refused && error.status === 409)
          await queries.invalidateQueries({ queryKey: shopOf.queryKey });
        toast.error(messageOf(error), { duration: 12_000, closeButton: true });
        return false;
      }
    };
    return {
      own,
      catalog: withShop(shipped, own),
      put: ({ kind, data: { id, ...rest } }) =>
        done(call(routes.putShopEntry, { kind, id, body: { version: versionOf(kind, id), data: rest } })),
      remove: ({ kind, data: { id } }) => done(call(routes.removeShopEntry, { kind, id })),
      book: (booking) => done(call(routes.bookCutting, { body: booking })),
      import: (entries) => done(call(routes.importShop, { body: { entries: [...entries] } })),
    };
  }, [data, queries]);
  // Designs may name own parts: nothing is shown before they are known, unless the server does not answer.
  const waiting = data === undefined && failureCount === 0;
  if (waiting) return meanwhile;
  return <Context value={shop}>{children}</Context>;
}

/** What is shown at an address, with the catalogue. */
export const WithShop = (): ReactNode => (
  <ShopProvider>
    <Outlet />
  </ShopProvider>
);

export function useShop(): Shop {
  const shop = use(Context);
  if (!shop) throw new Error('useShop outside its provider');
  return shop;
}

export const useCatalog = (): Catalog => useShop().catalog;
