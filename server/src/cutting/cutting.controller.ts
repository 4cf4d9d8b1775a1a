import { BookCutting, routes } from '@kobran/contract';
import { Body, Controller, Inject } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { ByCaller, signedBy, type Caller } from '../crew/caller.js';
import { Handles } from '../handles.js';
import { CuttingService } from './cutting.service.js';

@ApiTags('cutting')
@Controller()
export class CuttingController {
  constructor(@Inject(CuttingService) private readonly cutting: CuttingService) {}

  @Handles(routes.bookCutting)
  book(@ByCaller() caller: Caller, @Body() body: BookCutting): Promise<void> {
    return this.cutting.book(signedBy(caller, body));
  }
}
