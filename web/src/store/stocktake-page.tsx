import type { StoreContainer } from '@winter-jar/contracts';
import { totalUL, type Clarity, type ParticleKind, type Smell, type StocktakeBody } from '@winter-jar/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useUnits } from '../device/use-units.js';
import { exactly } from '../entry/deed.js';
import { fieldReader } from '../forms/read-quantity.js';
import { Caution } from '../ui/caution.js';
import { Chips } from '../ui/chips.js';
import { ColourScale } from '../ui/colour-scale.js';
import { ManyChips } from '../ui/many-chips.js';
import { QuantityField } from '../ui/quantity-field.js';
import { quantityText } from '../ui/quantity-text.js';
import { chipsOf, CLARITY_WORDS, PARTICLE_KIND_WORDS, SMELL_WORDS } from '../words/look-words.js';
import { StoreScreen, WithContainer, type StoreProps } from './store-screen.js';
import { useStoreWrite } from './use-store-write.js';

const LAYERS = ['oilMl', 'hazyMl', 'waterMl', 'creamMl', 'sludgeMl'] as const;
type LayerName = (typeof LAYERS)[number];
const LAYER_LABELS: Readonly<Record<LayerName, string>> = {
  oilMl: 'Oil',
  hazyMl: 'Of it hazy',
  waterMl: 'Water beneath',
  creamMl: 'Cream',
  sludgeMl: 'Sludge',
};

export function StocktakePage() {
  return <WithContainer>{(props) => <Stocktake key={props.one.id} {...props} />}</WithContainer>;
}

function Stocktake({ one, words }: StoreProps & { one: StoreContainer }) {
  const navigate = useNavigate();
  const units = useUnits();
  const { print } = words;
  const { state, container } = one;
  const used = one.shelf.blend.worstRounds > 0 && !container.wasteKind;
  const book: Readonly<Record<LayerName, number>> = {
    oilMl: totalUL(state.parts, 'oil') / 1000,
    hazyMl: (state.reading?.hazyUL ?? 0) / 1000,
    waterMl: totalUL(state.parts, 'water') / 1000,
    creamMl: totalUL(state.parts, 'cream') / 1000,
    sludgeMl: totalUL(state.parts, 'sludge') / 1000,
  };
  // What nobody measures is not asked: layers only where there can be any.
  const asked = LAYERS.filter(
    (l) => l === 'oilMl' || (l === 'hazyMl' ? used : used || container.wasteKind || book[l] > 0),
  );
  const [texts, setTexts] = useState<Readonly<Record<LayerName, string>>>({
    oilMl: quantityText(Math.round(book.oilMl * 10) / 10, units.volume),
    hazyMl: book.hazyMl > 0 ? quantityText(book.hazyMl, units.volume) : '',
    waterMl: book.waterMl > 0 ? quantityText(book.waterMl, units.volume) : '',
    creamMl: book.creamMl > 0 ? quantityText(book.creamMl, units.volume) : '',
    sludgeMl: book.sludgeMl > 0 ? quantityText(book.sludgeMl, units.volume) : '',
  });
  const [tempC, setTempC] = useState('');
  const [clarity, setClarity] = useState<Clarity | null>(null);
  const [colour, setColour] = useState<number | null>(null);
  const [smell, setSmell] = useState<Smell | null>(null);
  const [kinds, setKinds] = useState<readonly ParticleKind[]>([]);
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({});
  const write = useStoreWrite({ zone: words.zone });
  // Where its work harms whoever smells at it, nobody is asked to.
  const maySmell = !state.marks.services.some((s) => s === 'toxic' || s === 'biological');

  function read(): StocktakeBody | null {
    const reader = fieldReader(units);
    const ml = (name: LayerName) =>
      asked.includes(name) ? reader.optional(name, texts[name], 'volume', { min: 0 }) : null;
    const oilMl = reader.wanted('oilMl', texts.oilMl, 'volume', { min: 0 });
    const [hazyMl, waterMl, creamMl, sludgeMl] = [ml('hazyMl'), ml('waterMl'), ml('creamMl'), ml('sludgeMl')];
    const warm = reader.optional('tempC', tempC, 'temperature', { min: -30, max: 150 });
    if ((hazyMl ?? 0) > oilMl) reader.refuse('hazyMl', `At most the oil, ${print.volume(oilMl)}.`);
    if (used && clarity === null) reader.refuse('clarity', 'Say how clear it is against a line of print.');
    setWrong(reader.issues);
    if (reader.hasIssues()) return null;
    return {
      oilMl,
      ...(hazyMl ? { hazyMl } : {}),
      ...(waterMl ? { waterMl } : {}),
      ...(creamMl ? { creamMl } : {}),
      ...(sludgeMl ? { sludgeMl } : {}),
      ...(warm === null ? {} : { tempC: warm }),
      ...(clarity ? { clarity } : {}),
      ...(colour ? { colour } : {}),
      ...(smell ? { smell } : {}),
      ...(kinds.length > 0 ? { particleKinds: kinds } : {}),
    };
  }

  async function save(acknowledged: readonly string[]): Promise<void> {
    const body = read();
    if (!body) return;
    const { deed } = exactly('stocktake', new Date().toISOString(), body);
    const saved = await write.save(deed, {
      subject: { type: 'container', id: one.id },
      words: `${container.name} ${used ? 'read' : 'measured'}`,
      acknowledged,
    });
    if (saved) void navigate(`/store?at=${one.id}`);
  }

  const reader = fieldReader(units);
  const oilNow = reader.optional('oilMl', texts.oilMl, 'volume', { min: 0 });
  const difference = oilNow === null ? 0 : oilNow - book.oilMl;
  return (
    <StoreScreen
      title={used ? `Read ${container.name}` : `Stocktake: ${container.name}`}
      back={`/store?at=${one.id}`}
      words={words}
      write={write}
      saveWords={used ? 'Save the reading' : 'Save the stocktake'}
      onSave={(acknowledged) => void save(acknowledged)}
    >
      <div className="grid grid-cols-2 gap-4">
        {asked.map((name) => (
          <QuantityField
            key={name}
            label={LAYER_LABELS[name]}
            dimension="volume"
            text={texts[name]}
            onText={(text) => setTexts({ ...texts, [name]: text })}
            error={wrong[name]}
            min={0}
          />
        ))}
        <QuantityField
          label="How warm it is"
          dimension="temperature"
          text={tempC}
          onText={setTempC}
          error={wrong.tempC}
          hint="empty: 20 °C; warm oil takes more room"
        />
      </div>
      {Math.abs(difference) >= 1 && (
        <p role="status" className="font-semibold">
          {difference > 0 ? `${print.volume(difference)} more` : `${print.volume(-difference)} less`} than the book has
          ({print.volume(book.oilMl)}): the difference is written with its size.
        </p>
      )}
      {used && (
        <>
          <Chips
            label="Against a line of print it is"
            chips={chipsOf(CLARITY_WORDS)}
            value={clarity}
            onChange={setClarity}
            error={wrong.clarity}
          />
          <ColourScale value={colour} last={state.reading?.colour ?? null} onChange={setColour} />
          {maySmell ? (
            <Chips label="Smell" chips={chipsOf(SMELL_WORDS)} value={smell} onChange={setSmell} />
          ) : (
            <Caution>Do not smell at it: gloves, eye protection, hazardous waste.</Caution>
          )}
          <ManyChips label="Seen in it" chips={chipsOf(PARTICLE_KIND_WORDS)} values={kinds} onChange={setKinds} />
        </>
      )}
    </StoreScreen>
  );
}
