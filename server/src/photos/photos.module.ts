import { Module } from '@nestjs/common';
import { Database } from '../database/open.js';
import { PhotoShelf } from './photo-shelf.js';
import { PhotosController } from './photos.controller.js';

@Module({
  controllers: [PhotosController],
  providers: [
    { provide: PhotoShelf, useFactory: (database: Database) => new PhotoShelf(database.folder), inject: [Database] },
  ],
})
export class PhotosModule {}
