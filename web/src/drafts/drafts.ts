/** Something being edited that is not saved yet, as it lies in the browser's storage. */
export interface KeptDraft<T = unknown> {
  /** What it is a draft of, for a person: "Edit Acer rubrum". */
  title: string;
  /** The address where editing goes on. */
  where: string;
  /** When it was last changed, ISO 8601. */
  at: string;
  value: T;
}

const PREFIX = 'hurrow.draft';

/**
 * Drafts of one person in one browser. Each tab writes its own copy, so that two tabs that edit the same thing do not overwrite each
 * other; a tab that finds no copy of its own takes over the newest one.
 *
 * @example
 * const drafts = new Drafts(localStorage, 'account-1', 'tab-1');
 * drafts.keep('taxon/acer-rubrum', { title: 'Edit Acer rubrum', where: '/…', at: '2026-10-15T16:00:00Z', value: { genus: 'Acer' } });
 * drafts.list().length; // 1
 */
export class Drafts {
  private readonly storage: Storage;
  private readonly who: string;
  private readonly tab: string;
  private readonly listeners = new Set<() => void>();
  private shown: readonly (KeptDraft & { key: string })[] = [];
  /** True after the browser refused to keep a draft: its storage is full or switched off. */
  full = false;

  constructor(storage: Storage, who: string, tab: string) {
    this.storage = storage;
    this.who = who;
    this.tab = tab;
    this.shown = this.read();
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** The newest draft of each thing, newest first; the same array until something changes. */
  list = (): readonly (KeptDraft & { key: string })[] => this.shown;

  /** The draft of a thing: this tab's own, else the newest of another tab, which becomes this tab's. */
  take<T>(key: string): KeptDraft<T> | undefined {
    const own = this.parse(this.address(key));
    if (own) return own as KeptDraft<T>;
    const others = this.addressesOf(key)
      .map((address) => ({ address, draft: this.parse(address) }))
      .filter((found) => found.draft !== undefined)
      .sort((a, b) => b.draft!.at.localeCompare(a.draft!.at));
    const newest = others[0];
    if (!newest) return undefined;
    this.write(this.address(key), JSON.stringify(newest.draft));
    if (!this.full) this.storage.removeItem(newest.address);
    return newest.draft as KeptDraft<T>;
  }

  /** Keeps a draft; what could not be kept is said by `full`. */
  keep(key: string, draft: KeptDraft): void {
    this.write(this.address(key), JSON.stringify(draft));
    this.changed();
  }

  /** Forgets this tab's draft of a thing, after it was saved or given up. */
  drop(key: string): void {
    this.storage.removeItem(this.address(key));
    this.changed();
  }

  /** Forgets the drafts of a thing in every tab. */
  dropEverywhere(key: string): void {
    for (const address of this.addressesOf(key)) this.storage.removeItem(address);
    this.changed();
  }

  private write(address: string, text: string): void {
    try {
      this.storage.setItem(address, text);
      this.full = false;
    } catch {
      this.full = true;
    }
  }

  private address = (key: string) => `${PREFIX}|${this.who}|${key}|${this.tab}`;

  private addressesOf(key: string): string[] {
    const start = `${PREFIX}|${this.who}|${key}|`;
    return this.addresses().filter((address) => address.startsWith(start));
  }

  private addresses(): string[] {
    return Array.from({ length: this.storage.length }, (_, i) => this.storage.key(i) ?? '').filter(
      (address) => address.startsWith(`${PREFIX}|${this.who}|`),
    );
  }

  private parse(address: string): KeptDraft | undefined {
    try {
      return JSON.parse(this.storage.getItem(address) ?? 'null') as KeptDraft;
    } catch {
      return undefined;
    }
  }

  private read(): (KeptDraft & { key: string })[] {
    const newest = new Map<string, KeptDraft & { key: string }>();
    for (const address of this.addresses()) {
      const draft = this.parse(address);
      const key = address.split('|')[2]!;
      const held = newest.get(key);
      if (draft && (!held || held.at < draft.at)) newest.set(key, { ...draft, key });
    }
    return [...newest.values()].sort((a, b) => b.at.localeCompare(a.at));
  }

  private changed(): void {
    this.shown = this.read();
    this.listeners.forEach((listener) => listener());
  }
}
