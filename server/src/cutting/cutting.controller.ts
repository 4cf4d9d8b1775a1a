import { BookCutting } from '@kobran/contract';
import { Body, Controller, HttpCode, Inject, Post } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { schemaOf } from '../openapi.js';
import { CuttingService } from './cutting.service.js';

@ApiTags('cutting')
@Controller('api/cuttings')
export class CuttingController {
  constructor(@Inject(CuttingService) private readonly cutting: CuttingService) {}

  @Post()
  @HttpCode(204)
  @ApiOperation({ summary: 'Book a cutting plan, or take it back: shelf and log together' })
  @ApiBody(schemaOf(BookCutting))
  book(@Body() body: BookCutting): Promise<void> {
    return this.cutting.book(body);
  }
}
