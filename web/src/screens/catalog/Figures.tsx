import {
  attenuationDbPer100M,
  lawMisses,
  lossToleranceOf,
  velocityToleranceOf,
  faceInFull,
  faceOf,
  formatDecibels,
  formatFrequency,
  formatLength,
  partsFor,
  seriesOf,
  formatPower,
  type Adapter,
  type Cable,
  type ShopEntry,
} from '@kobran/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { usePreferences } from '../../ui/Preferences.js';
import { useShop } from '../../store/Shop.js';
import { Rows } from '../../ui/Rows.js';

/** The figures of an entry, with where they come from. */
const percent = (share: number): string => `${(share * 100).toFixed(1).replace('.0', '')} %`;

export function Figures({ entry }: { entry: ShopEntry }): ReactNode {
  const { units } = usePreferences();
  const mm = (value: number | null): string =>
    value === null
      ? 'none'
      : units === 'metric'
        ? `${value} mm`
        : formatLength(value / 1000, { system: units, small: true, digits: 1, fraction: 32 });
  switch (entry.kind) {
    case 'cable':
      return <CableFigures cable={entry.data} mm={mm} />;
    case 'part': {
      const part = entry.data;
      return (
        <Rows
          rows={[
            ['Connector', <FaceLink key="face" code={part.face} />],
            [
              'Pins',
              part.pins
                .map(({ boreMm, depthMm, made }) => `${mm(boreMm)} bore, ${mm(depthMm)} deep, ${made}`)
                .join('; '),
            ],
            ['Bore over the dielectric', mm(part.bodyBoreMm)],
            [
              'Neck',
              part.neckOuterMm === null ? 'none' : `${mm(part.neckOuterMm)} outside, ${mm(part.neckMm)} long`,
            ],
            [
              'Ferrule, gland or reducer',
              part.gripBoreMm === null ? 'none' : `${mm(part.gripBoreMm)} bore, ${mm(part.gripMm)} long`,
            ],
            ['Hex die', mm(part.hexMm)],
            ['Jacket’s edge to the front', mm(part.jacketToPlaneMm)],
            ...(part.captiveNut ? [['Coupling nut', 'captive, cannot come off'] as [string, string]] : []),
            ['Time', `${part.minutes} min`],
            ['Source', part.source],
          ]}
        />
      );
    }
    case 'adapter': {
      const adapter = entry.data;
      return (
        <Rows
          rows={[
            ['Connectors', adapter.faces.map((code, k) => <FaceLink key={k} code={code} />)],
            ['Form', adapter.form],
            ...deviceRows(adapter),
            ['Length', mm(adapter.lengthMm)],
            ['Mass', `${adapter.massG} g`],
            ['Good to', formatFrequency(adapter.maxFrequencyHz)],
            ...(adapter.insulatorDepthMm === undefined
              ? []
              : [['Front of the nut to the insulator', mm(adapter.insulatorDepthMm)] as [string, string]]),
            ['Source', adapter.source],
          ]}
        />
      );
    }
    case 'port': {
      const port = entry.data;
      return (
        <Rows
          rows={[
            ['It is a', port.side],
            ['Connector', <FaceLink key="face" code={port.face} />],
            ['Band', `${formatFrequency(port.lowHz)} to ${formatFrequency(port.highHz)}`],
            ['Forward power', port.powerW === 0 ? 'receive only' : `${port.powerW} W`],
            ['Couplings', `${port.matings} of ${seriesOf(faceOf(port.face)).matings}`],
          ]}
        />
      );
    }
    case 'stock':
    case 'reel':
      return null;
  }
}

/** What a device does besides carrying the wave on. */
function deviceRows({ device, maxFrequencyHz }: Adapter): [string, string][] {
  if (!device) return [];
  const { kind, lowHz, lossDb, averageW, dc, ratio } = device;
  return [
    ['It is a', kind],
    ['Band', `${formatFrequency(lowHz)} to ${formatFrequency(maxFrequencyHz)}`],
    ['Loss in its band', formatDecibels(lossDb)],
    ['Average power', formatPower(averageW)],
    ['Direct current', dc],
    ...(ratio === 1 ? [] : [['Impedance, first over second', String(ratio)] as [string, string]]),
  ];
}

function FaceLink({ code }: { code: string }): ReactNode {
  return (
    <Link className="mr-2 underline decoration-rule underline-offset-4" to={`/catalog/face/${code}`}>
      {faceInFull(faceOf(code))}
    </Link>
  );
}

/** What a cable is good for, and how sure that is. */
function CableFigures({ cable, mm }: { cable: Cable; mm: (value: number) => string }): ReactNode {
  const { catalog } = useShop();
  return (
    <Rows
      rows={[
        ['Impedance', `${cable.impedanceOhm} ohm`],
        ['Velocity factor', `${cable.velocityFactor} ± ${percent(velocityToleranceOf(cable))}`],
        ...[30e6, 150e6, 450e6, 1e9].map((hz): [string, string] => [
          `Loss per 100 m at ${formatFrequency(hz)}`,
          formatDecibels(attenuationDbPer100M(cable, hz)),
        ]),
        ...(cable.lossPoints && cable.lossPoints.length > 2
          ? [
              [
                'Fitted to its sheet',
                `${cable.lossPoints.length} figures, within ${percent(lawMisses(cable.lossPoints, cable))}`,
              ] as [string, string],
            ]
          : []),
        ['These are good to', `± ${percent(lossToleranceOf(cable))}, at 20 °C`],
        ['Highest voltage', `${cable.peakRfV} V peak at radio frequency`],
        ['Bend radius', `${mm(cable.bendOnceMm)} once, ${mm(cable.bendRepeatedMm)} flexed`],
        ['Jacket', `${cable.jacket}, to ${cable.maxJacketC} °C${cable.uvResistant ? ', UV-resistant' : ''}`],
        ['Direct burial', cable.directBurial],
        ['In a duct with water', cable.wetDuct ?? 'not known'],
        ['Suitable for salt air', cable.salt ?? 'not known'],
        ['Highest pull', cable.pullN === undefined ? 'not known' : `${cable.pullN} N`],
        ['Mass', `${cable.massKgPerKm} kg per km`],
        ['Price', cable.costPerM === undefined ? 'not known' : `${cable.costPerM} per m`],
        ['Connectors which fit', partsFor(cable, catalog.parts.values()).length],
        ['Source', cable.source],
      ]}
    />
  );
}
