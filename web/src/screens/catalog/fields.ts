import { adapterForms, deviceKinds, directCurrents, styleIds } from '@kobran/core';
import type { OwnKind } from './kinds.js';

/** How one property of an entry is asked for. */
export interface Field {
  key: string;
  label: string;
  /** Asked for only while another property has this value. */
  when?: [key: string, value: string];
  type: 'text' | 'mm' | 'mm or none' | 'number' | 'count' | 'hz' | 'watts' | 'flag' | 'face' | 'choice';
  options?: readonly string[];
  hint?: string;
}

const source: Field = {
  key: 'source',
  label: 'Source of the figures',
  type: 'text',
  hint: 'the maker’s sheet, measured, …',
};
const name: Field = { key: 'name', label: 'Name', type: 'text' };

const ofDevice = (list: Field[]): Field[] => list.map((field) => ({ ...field, when: ['form', 'device'] }));

const depthHint = 'a depth gauge or the tail of a caliper; leave it if not measured';

/** The properties of each kind, in the order in which a sheet gives them. */
export const fields: Record<OwnKind, Field[]> = {
  cable: [
    name,
    { key: 'impedanceOhm', label: 'Impedance, ohm', type: 'number' },
    { key: 'velocityFactor', label: 'Velocity factor', type: 'number' },
    { key: 'centreMm', label: 'Centre conductor', type: 'mm' },
    { key: 'centreKind', label: 'Centre is', type: 'choice', options: ['solid', 'stranded'] },
    { key: 'centre', label: 'Centre, in words', type: 'text' },
    { key: 'dielectricMm', label: 'Over the dielectric', type: 'mm' },
    { key: 'dielectric', label: 'Dielectric', type: 'text' },
    {
      key: 'shieldKind',
      label: 'Shield is',
      type: 'choice',
      options: ['braid', 'two braids', 'foil and braid', 'tube'],
    },
    { key: 'shield', label: 'Shield, in words', type: 'text' },
    { key: 'jacketMm', label: 'Over the jacket', type: 'mm' },
    { key: 'jacket', label: 'Jacket', type: 'text' },
    {
      key: 'k1',
      label: 'k1, dB per 100 m and √MHz',
      type: 'number',
      hint: 'fitted to the figures above, or typed',
    },
    { key: 'k2', label: 'k2, dB per 100 m and MHz', type: 'number' },
    { key: 'capacitancePfPerM', label: 'Capacitance, pF per m', type: 'number' },
    {
      key: 'peakRfV',
      label: 'Highest peak voltage at radio frequency, V',
      type: 'number',
      hint: '√(2·P·Z0) of the peak power rating; never the DC withstand figure',
    },
    { key: 'maxVoltageRms', label: 'Highest voltage of its military sheet, V rms', type: 'number' },
    { key: 'lawFromMhz', label: 'The loss law holds from, MHz', type: 'number' },
    { key: 'velocityTolerance', label: 'Velocity factor good to, share', type: 'number' },
    { key: 'lossTolerance', label: 'Loss good to, share', type: 'number' },
    { key: 'pullN', label: 'Highest pull, N', type: 'number' },
    { key: 'bendOnceMm', label: 'Bend radius, once', type: 'mm' },
    { key: 'bendRepeatedMm', label: 'Bend radius, flexed', type: 'mm' },
    { key: 'massKgPerKm', label: 'Mass, kg per km', type: 'number' },
    {
      key: 'directBurial',
      label: 'Direct burial',
      type: 'choice',
      options: ['yes', 'no', 'flooded type only'],
    },
    {
      key: 'wetDuct',
      label: 'In a duct with water',
      type: 'choice',
      options: ['yes', 'with care', 'no'],
    },
    {
      key: 'salt',
      label: 'Suitable for salt air',
      type: 'choice',
      options: ['tinned throughout', 'shield only', 'no'],
    },
    { key: 'uvResistant', label: 'UV-resistant jacket', type: 'flag' },
    { key: 'maxJacketC', label: 'Hottest jacket, °C', type: 'number' },
    { key: 'innerOhmPerKm', label: 'Centre, ohm per km', type: 'number' },
    { key: 'outerOhmPerKm', label: 'Shield, ohm per km', type: 'number' },
    {
      key: 'costPerM',
      label: 'Price per metre',
      type: 'number',
      hint: 'in your own money; leave it if unknown',
    },
    source,
  ],
  part: [
    name,
    { key: 'face', label: 'Connector', type: 'face' },
    { key: 'style', label: 'Cable attachment', type: 'choice', options: styleIds },
    { key: 'bodyBoreMm', label: 'Bore over the dielectric', type: 'mm or none' },
    { key: 'neckOuterMm', label: 'Neck, outside', type: 'mm or none' },
    { key: 'neckMm', label: 'Neck, length', type: 'mm' },
    { key: 'seatMm', label: 'Neck’s mouth to the dielectric’s stop', type: 'mm' },
    { key: 'gripBoreMm', label: 'Ferrule, gland or reducer: bore', type: 'mm or none' },
    { key: 'gripMm', label: 'Ferrule, gland or reducer: length', type: 'mm' },
    { key: 'hexMm', label: 'Hex die, across flats', type: 'mm or none' },
    { key: 'foldBackMm', label: 'Braid folded back', type: 'mm' },
    { key: 'jacketToPlaneMm', label: 'Jacket’s edge to the shell’s front', type: 'mm' },
    { key: 'captiveNut', label: 'The coupling nut cannot come off', type: 'flag' },
    { key: 'proudMm', label: 'Conductor left proud, trimmed after', type: 'mm' },
    { key: 'electricalMm', label: 'Electrical length it adds', type: 'mm' },
    { key: 'minutes', label: 'Minutes to make', type: 'number' },
    source,
  ],
  adapter: [
    name,
    { key: 'faces.0', label: 'One connector', type: 'face' },
    { key: 'faces.1', label: 'Other connector', type: 'face' },
    { key: 'form', label: 'Form', type: 'choice', options: adapterForms },
    { key: 'lengthMm', label: 'Length', type: 'mm' },
    { key: 'massG', label: 'Mass, g', type: 'number' },
    { key: 'electricalMm', label: 'Electrical length', type: 'mm' },
    ...ofDevice([
      { key: 'device.kind', label: 'It is a', type: 'choice', options: deviceKinds },
      { key: 'device.lowHz', label: 'Works from', type: 'hz' },
    ]),
    { key: 'maxFrequencyHz', label: 'Good to', type: 'hz' },
    ...ofDevice([
      { key: 'device.lossDb', label: 'Loss in its band, dB', type: 'number' },
      { key: 'device.averageW', label: 'Average power it takes', type: 'watts' },
      { key: 'device.dc', label: 'Direct current', type: 'choice', options: directCurrents },
      {
        key: 'device.ratio',
        label: 'Impedance, first over second connector',
        type: 'number',
        hint: '1, or 0.25 for 50 to 200 ohm',
      },
    ]),
    {
      key: 'insulatorDepthMm',
      label: 'SMA plug: front of the nut to the insulator',
      type: 'mm',
      hint: depthHint,
    },
    source,
  ],
  port: [
    name,
    { key: 'side', label: 'It is a', type: 'choice', options: ['radio', 'antenna'] },
    { key: 'face', label: 'Connector', type: 'face' },
    { key: 'lowHz', label: 'From', type: 'hz' },
    { key: 'highHz', label: 'To', type: 'hz' },
    { key: 'powerW', label: 'Forward power it gives or takes', type: 'watts' },
    { key: 'handheld', label: 'A handheld: small port, easily strained', type: 'flag' },
    { key: 'insulatorDepthMm', label: 'Its own antenna: front to insulator', type: 'mm', hint: depthHint },
    { key: 'swr', label: 'SWR, of an antenna', type: 'number' },
    { key: 'dcShort', label: 'Joins pin and shell for direct current', type: 'flag' },
    { key: 'matings', label: 'Couplings so far', type: 'count' },
  ],
};
