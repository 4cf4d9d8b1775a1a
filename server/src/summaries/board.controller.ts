import {
  BoardQuery,
  InspectionsQuery,
  routes,
  type BoardPage,
  type DueInspection,
  type RebuiltBoard,
} from '@kobran/contract';
import { Controller, Inject, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Handles } from '../handles.js';
import { BoardService } from './board.service.js';
import { SummariesService } from './summaries.service.js';

@ApiTags('board')
@Controller()
export class BoardController {
  constructor(
    @Inject(BoardService) private readonly board: BoardService,
    @Inject(SummariesService) private readonly summaries: SummariesService,
  ) {}

  @Handles(routes.readBoard)
  page(@Query() query: BoardQuery): Promise<BoardPage> {
    return this.board.page(query);
  }

  @Handles(routes.rebuildBoard)
  async rebuild(): Promise<RebuiltBoard> {
    return { runs: await this.summaries.forget() };
  }

  @Handles(routes.listPeople)
  people(): Promise<string[]> {
    return this.board.people();
  }

  @Handles(routes.listInspections)
  inspections(@Query() { soon }: InspectionsQuery): Promise<DueInspection[]> {
    return this.board.inspections(soon === 'true');
  }
}
