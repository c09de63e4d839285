import { Controller, Get, Header, Inject, NotFoundException } from '@nestjs/common';
import { Documented } from '../api/documented.js';
import { HOUSE, type House } from '../house/house.js';
import { Needs } from '../house/needs.js';

@Needs('nothing')
@Controller('api/certificate')
export class CertificateController {
  constructor(@Inject(HOUSE) private readonly house: House) {}

  @Get()
  @Header('Content-Type', 'application/x-x509-ca-cert')
  @Header('Content-Disposition', 'attachment; filename="winter-jar.crt"')
  @Documented({
    id: 'certificate',
    summary: 'The root of the server’s own certificate, to be trusted by a device',
    answer: 'Download',
  })
  certificate(): string {
    if (!this.house.certificate) throw new NotFoundException('a server that was started with --https');
    return this.house.certificate.root;
  }
}
