import { plotPath, ringStretch } from '@dusk-wren/core/analysis';
import {
  offDrawn,
  type BlueRing,
  type KeptCurves,
  type RingPair,
  type RunoutTurn,
  strokeNotes,
  type StrokeSheet,
} from '@dusk-wren/core/certificate';
import { formatNumber, si, valueIn, type Ratio } from '@dusk-wren/core/quantity';
import type { Content } from 'pdfmake/interfaces';

const INK = '#25212d';
const MUTED = '#665f70';
const METAL = '#dcd8e2';
const BLUE = '#1d55c2';
const LAMP = '#8d5200';
export const FIT = '#0f6d4c';
export const OVER = '#b13a20';
const SIZE = 92;

/** The blue line of each contact, as found and as left, side by side. */
export function ringCharts(pairs: readonly RingPair[]): Content[] {
  return pairs.map(({ contact, found, left }) => ({
    unbreakable: true,
    margin: [0, 6, 0, 0],
    stack: [
      { text: contact, bold: true },
      {
        columns: [
          found ? ring('as found', found) : { text: '' },
          left ? ring('as left', left) : { text: '' },
        ],
        columnGap: 12,
      },
    ],
  }));
}

function ring(when: string, { arcs, words }: BlueRing): Content {
  const blue = arcs
    .map(
      ({ from, to, width }) =>
        `<path d="${ringStretch(150, 108, from, to)}" fill="none" stroke="${BLUE}" stroke-width="${3 + 13 * width}"/>`,
    )
    .join('');
  return {
    stack: [
      {
        svg: `<svg viewBox="0 0 300 300"><circle cx="150" cy="150" r="132" fill="${METAL}" stroke="${INK}"/><circle cx="150" cy="150" r="84" fill="#fff" stroke="${INK}"/>${blue}</svg>`,
        width: SIZE,
      },
      { text: `${when}: ${words}`, style: 'small' },
    ],
  };
}

/** The readings of the dial round the stem, swelled so that thousandths show, within the circle of the limit. */
export function runoutChart({ part, readings, limit, bowAngle }: RunoutTurn): Content {
  const thous = readings.map((reading) => valueIn(reading, 'thou'));
  const mean = thous.reduce((sum, each) => sum + each, 0) / thous.length;
  const half = valueIn(limit, 'thou') / 2;
  const swell = 44 / Math.max(half, ...thous.map((each) => Math.abs(each - mean)), 0.5);
  const at = (degrees: number, thou: number) => {
    const angle = ((degrees - 90) * Math.PI) / 180;
    const radius = 90 + (thou - mean) * swell;
    return `${(150 + radius * Math.cos(angle)).toFixed(1)} ${(150 + radius * Math.sin(angle)).toFixed(1)}`;
  };
  const dots = thous
    .map((thou, i) => at((360 * i) / thous.length, thou).split(' '))
    .map(([x, y]) => `<circle cx="${x ?? 0}" cy="${y ?? 0}" r="5" fill="${LAMP}"/>`)
    .join('');
  const circle = (radius: number, dash: string) =>
    `<circle cx="150" cy="150" r="${radius.toFixed(1)}" fill="none" stroke="${MUTED}" stroke-dasharray="${dash}"/>`;
  const high = bowAngle
    ? `<path d="M150 150L${at(valueIn(bowAngle, '°'), mean)}" stroke="${OVER}" stroke-width="3"/>`
    : '';
  return {
    unbreakable: true,
    margin: [0, 6, 0, 0],
    stack: [
      { text: `${part}, runout round the clock; dotted: the limit`, bold: true },
      {
        svg: `<svg viewBox="0 0 300 300">${circle(90, '0')}${circle(90 + half * swell, '4 6')}${circle(Math.max(6, 90 - half * swell), '4 6')}${high}${dots}</svg>`,
        width: SIZE,
      },
    ],
  };
}

/** How much of what is allowed a leak was. */
export function shareBar(share: Ratio, passed: boolean): Content {
  const width = Math.min(1, si(share)) * 60;
  return {
    svg: `<svg viewBox="0 0 62 8"><rect x="1" y="1" width="60" height="6" fill="none" stroke="${MUTED}"/><rect x="1" y="1" width="${width.toFixed(1)}" height="6" fill="${passed ? FIT : OVER}"/></svg>`,
    width: 48,
  };
}

const DASHES = ['0', '9 5', '3 4', '12 4 3 4'];

/** Pressure over time, the curves of one step over each other. */
export function curveChart({ step, unit, seconds, most, curves }: KeptCurves): Content {
  const box = { width: 400, height: 130, right: seconds, top: most };
  const lines = curves
    .map(
      ({ points }, i) =>
        `<path d="${plotPath(points, box)}" fill="none" stroke="${BLUE}" stroke-width="1.8" stroke-dasharray="${DASHES[i % DASHES.length] ?? '0'}"/>`,
    )
    .join('');
  const named = curves.map(({ what, simulated, file }, i) => {
    const drawn = ['whole', 'dashed', 'dotted', 'dash and dot'][i % DASHES.length] ?? '';
    return `${what}${curves.length > 1 ? ` (${drawn})` : ''}${simulated ? ', simulated' : ''}${file === undefined ? '' : `, out of “${file}”`}`;
  });
  return {
    unbreakable: true,
    margin: [0, 6, 0, 0],
    stack: [
      { text: `${step}: to ${formatNumber(most, 1)} ${unit}, ${formatNumber(seconds, 0)} s`, bold: true },
      {
        svg: `<svg viewBox="-2 -4 406 140"><path d="M0 0V130H400" fill="none" stroke="${MUTED}"/><path d="M0 0H400M0 65H400" stroke="${METAL}"/>${lines}</svg>`,
        width: 300,
      },
      { text: named.join('; '), style: 'small' },
    ],
  };
}

/** A stroke test: each figure against its limit, how far it was off, each point. */
export function strokeChart(sheet: StrokeSheet): Content {
  const { step, points, verdicts, up, down, was, recording, most } = sheet;
  const box = { width: 400, height: 110, right: 100, top: 2 * most };
  const curve = (off: StrokeSheet['up'], colour: string, dash: string, width = 1.8) =>
    `<path d="${plotPath(offDrawn(off, most), box)}" fill="none" stroke="${colour}" stroke-width="${width}" stroke-dasharray="${dash}"/>`;
  const drawn = [
    ...(recording ? [curve(recording.off, MUTED, '0', 0.7)] : []),
    ...(was ? [curve(was.up, MUTED, '2 5'), curve(was.down, MUTED, '2 5')] : []),
    curve(up, BLUE, '0'),
    curve(down, BLUE, '9 5'),
  ];
  return {
    unbreakable: true,
    margin: [0, 6, 0, 0],
    stack: [
      { text: step, bold: true },
      ...verdicts.map(({ label, found, limit, fits }) => ({
        text: `${label}: ${found}, limit ${limit}${fits ? '' : ': OUT'}`,
        color: fits ? INK : OVER,
      })),
      {
        svg: `<svg viewBox="-2 -4 406 120"><path d="M0 0V110H400" fill="none" stroke="${MUTED}"/><path d="M0 55H400" stroke="${METAL}"/>${drawn.join('')}</svg>`,
        width: 300,
      },
      {
        text: `off by up to ${formatNumber(most, 2)} % of travel, signal 0 to 100 %; up whole, down dashed. ${strokeNotes(sheet).join(' ')}`,
        style: 'small',
      },
      {
        text: points
          .map(({ signal, up: rising, down: falling }) => `${signal}: ${rising} / ${falling}`)
          .join('; '),
        style: 'small',
      },
    ],
  };
}
