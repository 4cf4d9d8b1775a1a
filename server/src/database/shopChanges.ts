/** The channel on which the database itself tells that entries of the shop have changed, whoever changed them (migration 0008). */
export const SHOP_CHANNEL = 'kobran_shop';

/** Who wants to know that the shop’s entries have changed. */
export class ShopChanges {
  private readonly listeners: (() => void)[] = [];
  /** Nothing is to be remembered while nobody would be told. */
  isHeard = true;

  onChange(listener: () => void): void {
    this.listeners.push(listener);
  }

  tell(): void {
    for (const listener of this.listeners) listener();
  }
}
