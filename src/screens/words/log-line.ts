import { count } from '@/ui/numbers';
import { placeText, type LineProblem, type Understood } from '@/core/log-line';
import { WHYS, type DraftProblem, type RecordSet } from '@/core/ledger';
import { elementName } from '@/core/parts';
import { list, placeName } from './places';

/** A sentence for a line that cannot be read: what is wrong and what to do. */
export function lineProblemWords(p: LineProblem): string {
  switch (p.problem) {
    case 'no verb':
      return `“${p.text}” does not begin a change. Start with - off, + on, ~ recolour, % renew, > move, ? placeholder, ! missing or * replaced.`;
    case 'nothing named':
      return 'Name a part and a colour, for example: -2 plate 2x3 chalk.';
    case 'quantity':
      return `${p.text} is not a quantity. Use a whole number from 1 to 100,000.`;
    case 'unclosed':
      return `A ${p.what === '"' ? 'quote' : p.what} is opened and not closed. Close it.`;
    case 'unknown zone':
      return p.text
        ? `There is no zone “${p.text}”. There ${p.zones.length === 1 ? 'is' : 'are'} ${list(p.zones.slice(0, 8))}.`
        : `Name a zone: ${list(p.zones.slice(0, 8))}.`;
    case 'unknown why':
      return `“#${p.text}” is not a why. Use ${list(WHYS.map((w) => `#${w}`))}.`;
    case 'unknown place':
      return p.after === 'from'
        ? `Parts come from spares, own parts, donor, order or outside, not from “${p.text}”.`
        : `Parts go to spares, own parts or bin, not to “${p.text}”.`;
    case 'price':
      return `“${p.text}” is not a price. Write at 0.12.`;
    case 'no target':
      return p.verb === '?'
        ? 'Say what it is a placeholder for: … for lagoon.'
        : 'Say which colour it is to be: … > bark.';
    case 'unexpected':
      return `“${p.text}” is not expected here. Put parts of a name in 'single quotes'.`;
  }
}

/** A sentence for a clause that was read but not understood. */
export function unknownWords(u: Extract<Understood, { status: 'unknown' }>): string {
  switch (u.why) {
    case 'unknown part':
      return `No part is known as “${u.text}”. Give a family and a size, such as plate 2x3.`;
    case 'unknown colour':
      return `The colour in “${u.text}” is not in the palette.`;
    case 'unread words':
      return `“${u.unread ?? ''}” is not known. Is it part of the name?`;
    case 'no colour':
      return `Which colour of “${u.text}”? Add it after the part.`;
    case 'unknown assembly':
      return `There is no assembly “${u.text}”. Make one: =[${u.text || 'name'}] 4 brick 1x2 ash & 1 tile 2x2 bark.`;
    case 'no such placeholder':
      return 'No placeholder of that element is waiting. Say what takes its place: ^8 brick 1x2 amber > lagoon.';
  }
}

/** A sentence for something that cannot be done with the parts there are. */
export function draftProblemWords(p: DraftProblem, records: RecordSet): string {
  switch (p.reason) {
    case 'not on the model':
    case 'not at hand': {
      const name = elementName(p.element);
      const zone = records.zone.get(p.zone)?.name ?? 'the model';
      const where = p.boxesOnly
        ? 'in the spares and boxes that this build is bound to'
        : `in ${p.reason === 'not on the model' ? zone : placeText(p.source ?? 'stock')}`;
      const worn =
        p.worn > 0
          ? ` ${count(p.worn)} more there ${p.worn === 1 ? 'is' : 'are'} faded, yellowed or damaged: say so to take ${p.worn === 1 ? 'it' : 'them'}.`
          : '';
      const elsewhere = p.elsewhere.map((w) => `${count(w.qty)} in ${placeName(w.account, records)}`);
      const rest =
        elsewhere.length > 0 ? ` Elsewhere: ${list(elsewhere.slice(0, 4))}.` : ' There are none elsewhere.';
      return `${p.there === 0 ? `No ${name} is` : `Only ${count(p.there)} of ${count(p.wanted)} ${name} are`} ${where}.${worn}${rest}`;
    }
    case 'nothing to do':
      return 'There is nothing to log in that.';
    case 'same zone':
      return 'That moves nothing: say a zone to move to that is not the one it is in.';
    case 'same colour':
      return `${elementName(p.element)} has that colour already.`;
    case 'no own parts':
      return 'There is no tray in own parts yet. Bring own parts in first, or leave “to own parts” out.';
    case 'no such placeholder':
      return `No placeholder of ${elementName(p.element)} is waiting.`;
  }
}
