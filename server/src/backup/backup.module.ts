import { Module } from '@nestjs/common';
import { BackupController } from './backup.controller.js';
import { BackupService } from './backup.service.js';
import { JournalFileService } from './journal-file.service.js';

@Module({
  controllers: [BackupController],
  providers: [BackupService, JournalFileService],
  exports: [BackupService],
})
export class BackupModule {}
