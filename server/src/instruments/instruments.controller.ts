import {
  CalibrateAnalyser,
  ConnectInstrument,
  ReadPower,
  routes,
  SweepSetup,
  type InstrumentIdentity,
  type InstrumentsDocument,
  type MeasuredPower,
  type MeasuredSweepData,
} from '@kobran/contract';
import { Body, Controller, Inject, Param } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Handles } from '../handles.js';
import { BenchService } from './bench.service.js';
import { InstrumentRegistry } from './registry.js';
import * as vocabulary from './vocabulary.js';

@ApiTags('instruments')
@Controller()
export class InstrumentsController {
  constructor(
    @Inject(InstrumentRegistry) private readonly registry: InstrumentRegistry,
    @Inject(BenchService) private readonly bench: BenchService,
  ) {}

  @Handles(routes.readInstruments)
  read(): Promise<InstrumentsDocument> {
    return this.bench.read();
  }

  @Handles(routes.connectInstrument)
  connect(@Body() body: ConnectInstrument): Promise<InstrumentIdentity> {
    return this.registry.connect(body);
  }

  @Handles(routes.forgetInstrument)
  forget(@Param('id') id: string): Promise<void> {
    return this.registry.forget(id);
  }

  @Handles(routes.identifyInstrument)
  identify(@Param('id') id: string): Promise<InstrumentIdentity> {
    return this.registry.with(id, undefined, vocabulary.identityOf);
  }

  @Handles(routes.calibrateInstrument)
  calibrate(@Param('id') id: string, @Body() { step, setup }: CalibrateAnalyser): Promise<void> {
    return this.registry.with(id, 'analyser', (client) => vocabulary.calibrate(client, step, setup));
  }

  @Handles(routes.sweepInstrument)
  sweep(@Param('id') id: string, @Body() body: SweepSetup): Promise<MeasuredSweepData> {
    return this.registry.with(id, 'analyser', (client) => vocabulary.sweep(client, body));
  }

  @Handles(routes.zeroInstrument)
  zero(@Param('id') id: string): Promise<void> {
    return this.registry.with(id, 'multimeter', vocabulary.zero);
  }

  @Handles(routes.readOhm)
  ohm(@Param('id') id: string): Promise<{ ohm: number | null }> {
    return this.registry.with(id, 'multimeter', vocabulary.readOhm);
  }

  @Handles(routes.readPower)
  power(@Param('id') id: string, @Body() body: ReadPower): Promise<MeasuredPower> {
    return this.registry.with(id, 'power-meters', (client) => vocabulary.readPower(client, body));
  }
}
