import { nightCares, NIGHT_CARE_IDS } from '@/core/coefficients/night-care';
import { DAY_DEED_IDS, dayDeeds, WORN_WAY_IDS, wornWays } from '@/core/diary/day-words';
import { qrModules } from '@/core/sheet/qr-modules';
import { codeParts, diaryCode, type HomeDay } from '@/core/take-home/diary-code';
import type { DiaryPage } from '@/core/take-home/diary-page';
import type { Half } from '@/core/hair/half';
import { endReasons, OFFERED_REASONS, type EndReasonId } from '@/core/wear/end-reasons';
import { ANCHOR_POINTS, anchorWords, ratingScales, type RatingId } from '@/core/wear/rating-scales';
import { h } from './dom';
import './page.css';
import { ratingPicture } from './pictures';
import { Store } from './store';

const page = JSON.parse(document.getElementById('diary')!.textContent) as DiaryPage;
const store = new Store(page);

const DAY_MS = 86_400_000;
const MOST_NOTE = 500;
const noon = (date: string) => new Date(`${date}T12:00:00`);
const isoOf = (date: Date) =>
  `${date.getFullYear()}-${String(date.getMonth() + 1).padStart(2, '0')}-${String(date.getDate()).padStart(2, '0')}`;
/** Days since the takedown. @param date of the phone’s calendar */
const dayOf = (date: string) =>
  Math.round((noon(date).getTime() - noon(page.takenDownOn).getTime()) / DAY_MS);
const dateOf = (day: number) => isoOf(new Date(noon(page.takenDownOn).getTime() + day * DAY_MS));
const dayWords = (date: string) =>
  noon(date).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
const half = (value: number) => `${Math.floor(value)}${value % 1 ? '½' : ''}`.replace(/^0½$/, '½');

const today = isoOf(new Date());
const lastDay = Math.max(0, dayOf(today));
let shown = dateOf(lastDay);

const root = document.getElementById('page')!;
const first = page.halves[0]!;
const ofHalf = (of: Half) => (of === 'whole' ? '' : `, ${of} half`);

function said(scale: RatingId, of: Half): string {
  const told = page.said[of]?.[dayOf(shown)]?.[scale];
  if (!told) return '';
  const [low, likely, high] = told.map((value) => half(Math.round(2 * value) / 2)) as [
    string,
    string,
    string,
  ];
  return `we said ${likely}, ${low} to ${high}`;
}

/** One scale of one day: its words, its drawn anchors, and a ruler for each half. */
function scaleRow(scale: (typeof ratingScales)[number]): HTMLElement {
  const yesterday = dateOf(dayOf(shown) - 1);
  const words = h('span', { class: 'anchor' });
  const value = h('b', { class: 'value' });
  const forecast = h('small', { class: 'said' });
  const tell = () => {
    const rated = page.halves.map((of) => store.day(shown, of)?.ratings[scale.id]);
    value.textContent = rated.map((rating) => (rating === undefined ? '–' : half(rating))).join(' · ');
    words.textContent = rated[0] === undefined ? scale.look : anchorWords(scale, rated[0]);
    // Only once it is rated: a forecast would lead the hand.
    forecast.textContent = rated[0] === undefined ? '' : said(scale.id, first);
  };
  const rulers = page.halves.map((of) => {
    const rating = store.day(shown, of)?.ratings[scale.id];
    const before = store.day(yesterday, of)?.ratings[scale.id];
    const input = h('input', {
      type: 'range',
      min: 0,
      max: 10,
      step: 0.5,
      value: rating ?? before ?? 5,
      'aria-label': `${scale.label}${ofHalf(of)}`,
      'aria-valuetext':
        rating === undefined ? 'not rated yet' : `${rating} of 10, ${anchorWords(scale, rating)}`,
      'data-rated': rating !== undefined,
    });
    const rate = () => {
      const next = Number(input.value);
      store.change(shown, of, { ratings: { ...store.day(shown, of)?.ratings, [scale.id]: next } });
      input.setAttribute('data-rated', '');
      input.setAttribute('aria-valuetext', `${next} of 10, ${anchorWords(scale, next)}`);
      tell();
      changed();
    };
    // A touch on the value that stands there already says it too.
    for (const kind of ['input', 'change', 'click']) input.addEventListener(kind, rate);
    input.addEventListener('keydown', (event) => {
      if (!/^\d$/.test(event.key) || event.ctrlKey || event.metaKey || event.altKey) return;
      event.preventDefault();
      input.value = event.key === '0' && input.value === '1' ? '10' : event.key;
      rate();
    });
    return h('label', { class: 'ruler' }, of === 'whole' ? null : h('span', { class: 'side' }, of), input);
  });
  tell();
  const anchors = h('span', { class: 'anchors', 'aria-hidden': 'true' });
  anchors.innerHTML = ANCHOR_POINTS.map(
    (point) =>
      `<span style="left:${10 * point}%">${ratingPicture(scale.id, point, page.skin, page.hair)}<i>${point}</i></span>`,
  ).join('');
  return h(
    'section',
    { class: 'scale', 'aria-label': scale.label },
    h('p', {}, h('b', {}, scale.label), ' ', words, forecast, value),
    anchors,
    ...rulers,
  );
}

/** Chips of one question, over all halves: what is of the whole head stands in both. */
function chips<K extends string>(
  title: string,
  ids: readonly K[],
  label: (id: K) => string,
  isOn: (day: HomeDay | null, id: K) => boolean,
  change: (day: HomeDay | null, id: K) => Partial<HomeDay>,
): HTMLElement {
  const group = h('div', { class: 'chips', role: 'group', 'aria-label': title });
  const draw = () =>
    group.replaceChildren(
      ...ids.map((id) =>
        h(
          'button',
          {
            type: 'button',
            'aria-pressed': String(isOn(store.day(shown, first), id)),
            click: () => {
              const next = change(store.day(shown, first), id);
              for (const of of page.halves) store.change(shown, of, next);
              draw();
              changed();
            },
          },
          label(id),
        ),
      ),
    );
  draw();
  return h('div', {}, h('h2', { class: 'asked' }, title), group);
}

/** The days so far, the one that is shown marked, those with an entry filled. */
function strip(): HTMLElement {
  return h(
    'nav',
    { class: 'strip', 'aria-label': 'Days' },
    ...Array.from({ length: lastDay + 1 }, (_, day) => {
      const date = dateOf(day);
      return h(
        'button',
        {
          type: 'button',
          'aria-current': date === shown ? 'date' : undefined,
          'data-rated': page.halves.some((of) => Object.keys(store.day(date, of)?.ratings ?? {}).length > 0),
          click: () => {
            shown = date;
            draw();
          },
        },
        dayWords(date),
        h('small', {}, `day ${day}`),
      );
    }),
  );
}

function sameAsYesterday(): HTMLElement | null {
  const before = page.halves.map((of) => store.day(dateOf(dayOf(shown) - 1), of));
  const isNew = page.halves.every((of) => Object.keys(store.day(shown, of)?.ratings ?? {}).length === 0);
  if (!isNew || !before.some((day) => day && Object.keys(day.ratings).length > 0)) return null;
  return h(
    'button',
    {
      type: 'button',
      class: 'wide',
      click: () => {
        before.forEach((day, i) => {
          if (!day) return;
          const { ratings, night, deeds, worn } = day;
          store.change(shown, page.halves[i]!, { ratings, night, deeds, worn });
        });
        draw();
      },
    },
    'Same as yesterday',
  );
}

/** It is over: the last good day and why, in as few questions as can tell an end from a wash day. */
function theEnd(): HTMLElement {
  const box = h('details', { class: 'end' }, h('summary', {}, 'It is over'));
  const reason = h('select', { 'aria-label': 'Why' }, h('option', { value: '' }, 'Why?'), ...OFFERED_REASONS.map((id) => h('option', { value: id }, endReasons[id].label))); // prettier-ignore
  const last = h(
    'select',
    { 'aria-label': 'Last good day' },
    ...Array.from({ length: lastDay + 1 }, (_, day) => {
      const date = dateOf(day);
      return h('option', { value: date, selected: date === shown }, `${dayWords(date)}, day ${day}`);
    }),
  );
  const goesOn = h('select', { 'aria-label': 'Would it have gone another day?', hidden: true }, h('option', { value: '' }, 'Another day?'), h('option', { value: 'yes' }, 'It would have gone another day'), h('option', { value: 'no' }, 'It would not')); // prettier-ignore
  const which = h('select', { 'aria-label': 'Which half', hidden: page.halves.length < 2 }, ...page.halves.map((of) => h('option', { value: of }, of === 'whole' ? 'All of it' : `The ${of} half`))); // prettier-ignore
  const asks = () => reason.value !== '' && endReasons[reason.value as EndReasonId].asks;
  reason.addEventListener('change', () => (goesOn.hidden = !asks()));
  const note = h('p', { role: 'status' });
  const tell = () => {
    note.textContent = store.kept.ends
      .map(
        (end) =>
          `Kept: last good day ${dayWords(end.date)}, ${endReasons[end.reason].label.toLowerCase()}${ofHalf(end.half)}.`,
      )
      .join(' ');
  };
  tell();
  box.append(
    h('p', {}, which, last, reason, goesOn),
    h(
      'button',
      {
        type: 'button',
        class: 'wide',
        click: () => {
          if (reason.value === '' || (asks() && goesOn.value === '')) {
            note.textContent =
              reason.value === '' ? 'Say why, then keep it.' : 'Say whether it would have gone another day.';
            return;
          }
          const of = which.value as Half;
          store.kept.ends = [
            ...store.kept.ends.filter((end) => end.half !== of),
            {
              half: of,
              date: last.value,
              reason: reason.value as EndReasonId,
              wouldHaveGoneOn: asks() ? goesOn.value === 'yes' : null,
            },
          ];
          store.write();
          tell();
          changed();
        },
      },
      'Keep it',
    ),
    note,
  );
  return box;
}

const code = () => diaryCode({ id: page.id, ...store.kept }, page.key);
/** What is sent: words for people, and the code for the studio. */
const message = () => {
  const rated = store.kept.days.filter(({ ratings }) => Object.keys(ratings).length > 0);
  const lines = rated.map(
    ({ date, half: of, ratings }) =>
      `${dayWords(date)}${ofHalf(of)}: ${ratingScales
        .flatMap(({ id, label }) =>
          ratings[id] === undefined ? [] : `${label.toLowerCase()} ${half(ratings[id])}`,
        )
        .join(', ')}`,
  );
  return [`${page.head}, ${page.style}: diary for ${page.studio}`, ...lines, '', code(), ''].join('\n');
};

/** A QR code as one path. */
function qr(text: string): string {
  const modules = qrModules(text, 'L');
  const size = modules.length + 8;
  const d = modules
    .flatMap((row, y) => row.map((dark, x) => (dark ? `M${x + 4} ${y + 4}h1v1h-1z` : '')))
    .join('');
  return `<svg viewBox="0 0 ${size} ${size}" role="img" aria-label="Code of this diary"><rect width="${size}" height="${size}" fill="#fff"/><path d="${d}" fill="#000"/></svg>`;
}

const bringBack = h('div', { class: 'codes' });
function drawCodes(): void {
  const parts = codeParts(code());
  bringBack.innerHTML = parts
    .map(
      (part, i) =>
        `<figure>${qr(part)}${parts.length > 1 ? `<figcaption>${i + 1} of ${parts.length}</figcaption>` : ''}</figure>`,
    )
    .join('');
}

function changed(): void {
  drawCodes();
  const mark = document.getElementById('kept');
  if (mark)
    mark.textContent = store.isKept
      ? '✓ kept on this phone'
      : 'not kept: give it back before you close this page';
}

function download(): void {
  const link = h('a', {
    href: URL.createObjectURL(new Blob([message()], { type: 'text/plain' })),
    download: `diary-${page.head.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.txt`,
  });
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

async function copy(button: HTMLButtonElement): Promise<void> {
  try {
    await navigator.clipboard.writeText(message());
    button.textContent = 'Copied';
  } catch {
    const box = document.querySelector<HTMLTextAreaElement>('#message')!;
    box.value = message();
    box.hidden = false;
    box.select();
  }
}

function draw(): void {
  const note = h('textarea', {
    'aria-label': 'A note, if there is one',
    rows: 2,
    maxlength: MOST_NOTE,
    placeholder: 'A note, if there is one',
  });
  note.value = store.day(shown, first)?.note ?? '';
  note.addEventListener('input', () => {
    store.change(shown, first, { note: note.value.trim() });
    changed();
  });
  const by = h('input', { 'aria-label': 'Who rates', maxlength: 60, value: store.kept.by });
  by.addEventListener('input', () => {
    store.kept.by = by.value.trim();
    store.write();
    changed();
  });
  const copyButton = h('button', { type: 'button', click: () => void copy(copyButton) }, 'Copy as text');
  root.replaceChildren(
    h(
      'header',
      {},
      h('h1', {}, page.head),
      h('p', {}, `${page.style}, day ${dayOf(shown)}`),
      h('p', { id: 'kept', role: 'status' }),
    ),
    dayOf(today) < 0
      ? h(
          'p',
          { class: 'mind' },
          'The date of this phone lies before the takedown. Put its clock right first.',
        )
      : '',
    strip(),
    h('section', { class: 'card' }, sameAsYesterday(), ...ratingScales.map(scaleRow)),
    h(
      'section',
      { class: 'card rest' },
      chips('Last night', NIGHT_CARE_IDS, (id) => nightCares[id].label, (day, id) => day?.night === id, (day, id) => ({ night: day?.night === id ? null : id })), // prettier-ignore
      chips('Done to it', DAY_DEED_IDS, (id) => dayDeeds[id].label, (day, id) => day?.deeds.includes(id) ?? false, (day, id) => ({ deeds: day?.deeds.includes(id) ? day.deeds.filter((own) => own !== id) : [...(day?.deeds ?? []), id] })), // prettier-ignore
      chips('Worn', WORN_WAY_IDS, (id) => wornWays[id].label, (day, id) => day?.worn === id, (day, id) => ({ worn: day?.worn === id ? null : id })), // prettier-ignore
      note,
    ),
    h(
      'section',
      { class: 'card tonight' },
      h('h2', {}, 'Tonight'),
      h('p', {}, page.tonight),
      h('p', {}, page.wash),
      h('ul', {}, ...page.care.map((line) => h('li', {}, line))),
    ),
    theEnd(),
    h(
      'section',
      { class: 'card back' },
      h('h2', {}, 'Bring it back'),
      h('p', {}, `Show this code to ${page.studio}, or send the text.`),
      h('label', {}, 'Who rates ', by),
      bringBack,
      h('p', {}, copyButton, h('button', { type: 'button', click: download }, 'Save as a file')),
      h('textarea', {
        id: 'message',
        hidden: true,
        rows: 4,
        readonly: true,
        'aria-label': 'The text to send',
      }),
    ),
    h(
      'footer',
      {},
      'Works without a connection. It does not replace a licence, a local code or medical advice.',
    ),
  );
  changed();
}

const dark = matchMedia('(prefers-color-scheme: dark)');
const scheme = () => (document.documentElement.dataset.scheme = dark.matches ? 'dark' : 'light');
dark.addEventListener('change', scheme);
scheme();
draw();
