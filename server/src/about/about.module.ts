import { Module } from '@nestjs/common';
import { AboutController } from './about.controller.js';
import { CertificateController } from './certificate.controller.js';

@Module({
  controllers: [AboutController, CertificateController],
})
export class AboutModule {}
