import type { ElementKey } from '../parts';
import type { BuildId, ColourId, KeptId, PartId, PoolModelId, WatchId } from '../shared/ids';
import type { AccountKey } from './accounts';

/** A part wanted in a colour that nobody has yet: the person is told when the register or a seller has it. */
export interface Watch {
  readonly id: WatchId;
  readonly element: ElementKey;
  readonly qty: number;
  readonly note: string;
  readonly at: string;
}

/** Pieces lying in a tray, the spares or a box that stay together. They are not taken for anything else. */
export interface KeptAssembly {
  readonly id: KeptId;
  readonly name: string;
  readonly account: AccountKey;
  readonly lots: readonly { readonly element: ElementKey; readonly qty: number }[];
}

/** A model to be built from a pool of boxes together with others: what it must have, and the main colours it may be in. */
export interface PoolModel {
  readonly id: PoolModelId;
  readonly build: BuildId;
  readonly name: string;
  /** A colour of null is the model's main colour, whichever that turns out to be. */
  readonly musts: readonly {
    readonly part: PartId;
    readonly colour: ColourId | null;
    readonly qty: number;
  }[];
  /** Main colours it may have; empty = any. */
  readonly colours: readonly ColourId[];
  /** True = it may share its main colour with another. */
  readonly shares: boolean;
}
