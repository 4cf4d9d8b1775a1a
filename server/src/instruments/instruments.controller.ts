import {
  CalibrateAnalyser,
  ConnectInstrument,
  PutOnBench,
  ReadPower,
  SweepSetup,
  type InstrumentIdentity,
  type InstrumentsDocument,
  type MeasuredPower,
  type MeasuredSweepData,
  type RevealedFault,
} from '@kobran/contract';
import { BenchHands } from '@kobran/core';
import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Post, Put } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { schemaOf } from '../openapi.js';
import { InstrumentsService } from './instruments.service.js';

@ApiTags('instruments')
@Controller('api/instruments')
export class InstrumentsController {
  constructor(@Inject(InstrumentsService) private readonly instruments: InstrumentsService) {}

  @Get()
  @ApiOperation({ summary: 'Every instrument which can be asked, and what lies on the simulated bench' })
  read(): Promise<InstrumentsDocument> {
    return this.instruments.read();
  }

  @Post()
  @HttpCode(200)
  @ApiOperation({ summary: 'Connect an instrument by its address; it must answer *IDN?' })
  @ApiBody(schemaOf(ConnectInstrument))
  connect(@Body() body: ConnectInstrument): Promise<InstrumentIdentity> {
    return this.instruments.connect(body);
  }

  @Delete(':id')
  @HttpCode(204)
  @ApiOperation({ summary: 'Forget a connected instrument' })
  forget(@Param('id') id: string): Promise<void> {
    return this.instruments.forget(id);
  }

  @Post(':id/identify')
  @HttpCode(200)
  @ApiOperation({ summary: 'Ask an instrument what it is' })
  identify(@Param('id') id: string): Promise<InstrumentIdentity> {
    return this.instruments.identify(id);
  }

  @Post(':id/calibrate')
  @HttpCode(204)
  @ApiOperation({ summary: 'Collect one standard, or put the calibration to use' })
  @ApiBody(schemaOf(CalibrateAnalyser))
  calibrate(@Param('id') id: string, @Body() body: CalibrateAnalyser): Promise<void> {
    return this.instruments.calibrate(id, body);
  }

  @Post(':id/sweep')
  @HttpCode(200)
  @ApiOperation({ summary: 'Sweep what is connected' })
  @ApiBody(schemaOf(SweepSetup))
  sweep(@Param('id') id: string, @Body() body: SweepSetup): Promise<MeasuredSweepData> {
    return this.instruments.sweep(id, body);
  }

  @Post(':id/zero')
  @HttpCode(204)
  @ApiOperation({ summary: 'Zero the leads of an ohm-meter' })
  zero(@Param('id') id: string): Promise<void> {
    return this.instruments.zero(id);
  }

  @Post(':id/ohm')
  @HttpCode(200)
  @ApiOperation({ summary: 'Resistance from pin to shell, ohm; null is over range' })
  ohm(@Param('id') id: string): Promise<{ ohm: number | null }> {
    return this.instruments.readOhm(id);
  }

  @Post(':id/power')
  @HttpCode(200)
  @ApiOperation({ summary: 'Key the transmitter and read both ends' })
  @ApiBody(schemaOf(ReadPower))
  power(@Param('id') id: string, @Body() body: ReadPower): Promise<MeasuredPower> {
    return this.instruments.readPower(id, body);
  }
}

@ApiTags('instruments')
@Controller('api/bench')
export class BenchController {
  constructor(@Inject(InstrumentsService) private readonly instruments: InstrumentsService) {}

  @Put()
  @ApiOperation({ summary: 'Put a run, or an assembly of it, on the simulated bench' })
  @ApiBody(schemaOf(PutOnBench))
  put(@Body() body: PutOnBench): Promise<InstrumentsDocument> {
    return this.instruments.put(body);
  }

  @Put('hands')
  @ApiOperation({ summary: 'Cut it, wiggle it, let it rain, or change its far end' })
  @ApiBody(schemaOf(BenchHands))
  touch(@Body() body: BenchHands): Promise<InstrumentsDocument> {
    return this.instruments.touch(body);
  }

  @Get('fault')
  @ApiOperation({ summary: 'What was hidden in the work on the bench' })
  reveal(): RevealedFault {
    return this.instruments.reveal();
  }

  @Delete()
  @ApiOperation({ summary: 'Clear the bench and switch its instruments off' })
  clear(): Promise<InstrumentsDocument> {
    return this.instruments.clear();
  }
}
