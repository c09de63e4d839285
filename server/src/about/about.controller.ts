import { Controller, Get, Inject } from '@nestjs/common';
import type { About } from '@winter-jar/contracts';
import { Documented } from '../api/documented.js';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { addressesOf } from '../house/house-addresses.js';
import { DEMO_DAY, HOUSE, VERSION, type House } from '../house/house.js';
import { Needs } from '../house/needs.js';
import { Sites } from '../house/sites.js';
import { Reading } from '../database/reading.js';

@Needs('read')
@Sites('same')
@Controller('api/about')
export class AboutController {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    @Inject(HOUSE) private readonly house: House,
    @Inject(Reading) private readonly reading: Reading,
  ) {}

  @Get()
  @Documented({ id: 'about', summary: 'Version, data folder and whether this is the demo', answer: 'About' })
  async about(): Promise<About> {
    const demoDay = await this.reading.records.fact(DEMO_DAY);
    const { dataFolder, openToNetwork, certificate } = this.house;
    return {
      version: VERSION,
      dataFolder,
      openToNetwork,
      addresses: openToNetwork ? addressesOf(this.house) : [],
      certificate: certificate?.fingerprint ?? null,
      demoDay,
      now: isoNow(this.clock),
    };
  }
}
