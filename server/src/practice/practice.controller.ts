import { ReplaceShopPractice, routes, type ShopPracticeDocument } from '@kobran/contract';
import { Body, Controller, Inject } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Handles } from '../handles.js';
import { PracticeService } from './practice.service.js';

@ApiTags('practice')
@Controller()
export class PracticeController {
  constructor(@Inject(PracticeService) private readonly practice: PracticeService) {}

  @Handles(routes.readShopPractice)
  read(): Promise<ShopPracticeDocument> {
    return this.practice.ofShop();
  }

  @Handles(routes.replaceShopPractice)
  replace(@Body() body: ReplaceShopPractice): Promise<ShopPracticeDocument> {
    return this.practice.replace(body);
  }
}
