import { after, brings, type Cause } from '../cause.js';

export const wearDebris: Cause = {
  name: 'Wear debris from vanes, bearings or rotor',
  family: 'particles',
  prior: { freezeDrying: 0.03, packaging: 0.04, composites: 0.03, industrial: 0.045 },
  looksLike: 'Glitter or black grains, iron up, a new noise.',
  brings: [
    brings('glitter', 'yes', 0.6, 'metal shines'),
    brings('iron', 'raised', 0.65, 'it is iron'),
    brings('blackParticles', 'yes', 0.4, 'vane dust is black'),
    brings('noise', 'louder', 0.45, 'worn parts knock'),
    brings('current', 'higher', 0.3, 'they rub'),
    brings('vanes', 'worn', 0.6, 'that is where it comes from'),
    brings('caseTemp', 'hotter', 0.2, 'friction'),
    brings('particleCode', 'raised', 0.65, 'wear is counted'),
    brings('colour', 'darker', 0.2, 'fine black'),
    brings('noise', 'grinding', 0.12, 'metal on metal'),
    brings('starts', 'stiff', 0.08, 'a bearing seizes'),
  ],
  after: [
    after('newPump', 'yes', 3, 'running-in sheds metal'),
    after('hours', 'many', 2.5, 'parts wear with the hours'),
    after('carriedOver', 'yes', 1.4, 'old oil lubricates less'),
  ],
  remedy: 'Magnet test and lab sample; change the oil; inspect vanes and bearings if it comes again.',
  prevention: 'Oil in time, no grit past the inlet, no cold starts.',
  cautions: ['lockOut'],
};
