import { BadRequestException, Controller, Get, Inject, NotFoundException, Param, Post, Req, Res } from '@nestjs/common';
import { ApiConsumes } from '@nestjs/swagger';
import type { PhotoKept } from '@winter-jar/contracts';
import type { Request, Response } from 'express';
import type { Sight } from '@winter-jar/core';
import { Costly } from '../house/costly.js';
import { Documented } from '../api/documented.js';
import { Acting } from '../house/acting.js';
import { Needs } from '../house/needs.js';
import { SeenFiles } from '../house/seen-files.js';
import { Seeing, Sites } from '../house/sites.js';
import type { Actor } from '../journal/actor.js';
import { JournalWriter } from '../journal/journal-writer.js';
import { FILE_KINDS } from '../files/kept-files.js';
import { uploadOf } from '../files/upload.js';
import { PhotoStore } from './photo-store.js';

@Needs('read')
@Sites('sifted')
@Controller('api/photos')
export class PhotosController {
  constructor(
    @Inject(PhotoStore) private readonly store: PhotoStore,
    @Inject(JournalWriter) private readonly writer: JournalWriter,
    @Inject(SeenFiles) private readonly seen: SeenFiles,
  ) {}

  @Post()
  @Costly(120)
  @Needs('log')
  @ApiConsumes('image/jpeg')
  @Documented({
    id: 'keepPhoto',
    summary: 'Keep a photograph, before the look that cites it; what its camera wrote beside the picture is removed',
    answer: 'PhotoKept',
    body: 'PhotoBytes',
  })
  async keep(@Acting() actor: Actor, @Req() request: Request): Promise<PhotoKept> {
    const { types, maxBytes } = FILE_KINDS.photo;
    const kept = await this.store.keep(uploadOf(request, types, maxBytes));
    if (!kept.ok) throw new BadRequestException({ message: kept.issue.right, issues: [kept.issue] });
    this.writer.noteFile(actor);
    return kept.photo;
  }

  @Get(':photoId')
  @Documented({ id: 'photo', summary: 'A photograph', answer: 'PhotoBytes' })
  whole(@Seeing() sight: Sight, @Param('photoId') photoId: string, @Res() response: Response): Promise<void> {
    return this.send(sight, photoId, 'whole', response);
  }

  @Get(':photoId/thumb')
  @Documented({ id: 'photoThumb', summary: 'A photograph, small', answer: 'PhotoBytes' })
  thumb(@Seeing() sight: Sight, @Param('photoId') photoId: string, @Res() response: Response): Promise<void> {
    return this.send(sight, photoId, 'thumb', response);
  }

  private async send(sight: Sight, photoId: string, size: 'whole' | 'thumb', response: Response): Promise<void> {
    const right = 'the id of a photograph that is kept here';
    this.seen.mustSee(sight, photoId, right);
    const path = await this.store.pathOf(photoId, size);
    if (path === null) throw new NotFoundException(right);
    // Named by its content: it never changes.
    response.set('Cache-Control', 'private, max-age=31536000, immutable').sendFile(path, { dotfiles: 'allow' });
  }
}
