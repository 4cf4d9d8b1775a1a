import { Picture, routes } from '@kobran/contract';
import { Body, Controller, Header, Inject, Param, ParseUUIDPipe, StreamableFile } from '@nestjs/common';
import { ApiProduces, ApiTags } from '@nestjs/swagger';
import { Handles, HandlesFile } from '../handles.js';
import { PicturesService } from './pictures.service.js';

@ApiTags('pictures')
@Controller()
export class PicturesController {
  constructor(@Inject(PicturesService) private readonly pictures: PicturesService) {}

  @Handles(routes.putPicture)
  put(
    @Param('id', ParseUUIDPipe) id: string,
    @Param('pictureId', ParseUUIDPipe) pictureId: string,
    @Body() body: Picture,
  ): Promise<void> {
    return this.pictures.put(id, pictureId, body);
  }

  @HandlesFile(routes.readPicture)
  @ApiProduces('image/jpeg', 'image/png', 'image/webp')
  // A picture never changes under its id.
  @Header('cache-control', 'private, max-age=31536000, immutable')
  async read(
    @Param('id', ParseUUIDPipe) id: string,
    @Param('pictureId', ParseUUIDPipe) pictureId: string,
  ): Promise<StreamableFile> {
    const { type, bytes } = await this.pictures.read(id, pictureId);
    return new StreamableFile(bytes, { type });
  }
}
