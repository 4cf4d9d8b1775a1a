import {
  BenchHands,
  PutOnBench,
  routes,
  type InstrumentsDocument,
  type RevealedFault,
} from '@kobran/contract';
import { Body, Controller, Inject } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Handles } from '../handles.js';
import { BenchService } from './bench.service.js';

@ApiTags('instruments')
@Controller()
export class BenchController {
  constructor(@Inject(BenchService) private readonly bench: BenchService) {}

  @Handles(routes.putOnBench)
  put(@Body() body: PutOnBench): Promise<InstrumentsDocument> {
    return this.bench.put(body);
  }

  @Handles(routes.touchBench)
  touch(@Body() body: BenchHands): Promise<InstrumentsDocument> {
    return this.bench.touch(body);
  }

  @Handles(routes.revealFault)
  reveal(): RevealedFault {
    return this.bench.reveal();
  }

  @Handles(routes.clearBench)
  clear(): Promise<InstrumentsDocument> {
    return this.bench.clear();
  }
}
