'use client';

import { useState } from 'react';
import { amountWords, figures } from '@/core/materials/amount-words';
import { depthOfBags, layerOf } from '@/core/materials/mix/depth';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { TextField } from '@/ui/TextField';
import { readAmount, readNumber } from './read-amount';
import { Sum } from './Sum';

/** Depths over an area to litres and bags, and back from whole bags to the depth that is really laid. */
export function LayerSum({ system }: { readonly system: MeasureSystem }) {
  const unit = system === 'us' ? 'in' : 'cm';
  const [length, setLength] = useState(system === 'us' ? '4 ft' : '120 cm');
  const [width, setWidth] = useState(system === 'us' ? '3 ft' : '90 cm');
  const [depths, setDepths] = useState(system === 'us' ? '1, 2, 4' : '2, 5, 8');
  const [bag, setBag] = useState(system === 'us' ? '1.5 cu ft' : '40 l');
  const [price, setPrice] = useState('6');
  const [l, w, b, p] = [
    readAmount(length, 'length', system, unit),
    readAmount(width, 'length', system, unit),
    readAmount(bag, 'volume', system),
    readNumber(price, 0, 10_000),
  ];
  const levels = depths
    .split(/[\s;]+|,(?!\d)|,(?=\d+(?:,|$))/)
    .filter(each => each !== '')
    .map(each => readAmount(each, 'length', system, unit));
  const bad = levels.find(level => level.trouble !== undefined)?.trouble;
  const areaM2 = l.base !== undefined && w.base !== undefined ? (l.base * w.base) / 1e6 : undefined;
  const shown = (mm: number): string =>
    system === 'us' ? `${figures(mm / 25.4)} in` : `${figures(mm / 10)} cm`;
  return (
    <Sum
      title="A layer"
      lead="Mulch, compost or mix by depth. With whole bags the depth is another: call the level by what was really laid."
    >
      <div data-fields>
        <TextField
          label="The bed is long"
          name="layerLength"
          value={length}
          onChange={setLength}
          trouble={l.trouble}
        />
        <TextField
          label="and wide"
          name="layerWidth"
          value={width}
          onChange={setWidth}
          trouble={w.trouble}
        />
        <TextField
          label={`Depths, ${unit}`}
          name="layerDepths"
          value={depths}
          onChange={setDepths}
          trouble={bad}
        />
        <TextField
          label="A bag holds"
          name="layerBag"
          value={bag}
          onChange={setBag}
          trouble={b.trouble}
        />
        <TextField
          label="and costs"
          name="layerPrice"
          value={price}
          onChange={setPrice}
          trouble={p.trouble}
          inputMode="decimal"
        />
      </div>
      {areaM2 !== undefined && (
        <table>
          <thead>
            <tr>
              <th scope="col">depth</th>
              <th scope="col">takes</th>
              <th scope="col">bags</th>
              <th scope="col">whole bags give</th>
              <th scope="col">cost</th>
            </tr>
          </thead>
          <tbody>
            {levels.map((level, i) => {
              if (level.base === undefined) return null;
              const layer = layerOf(areaM2, level.base, b.base ?? null);
              return (
                // biome-ignore lint/suspicious/noArrayIndexKey: the same depth may be written twice
                <tr key={i}>
                  <th scope="row">{shown(level.base)}</th>
                  <td>{amountWords(layer.volumeMl, 'volume')}</td>
                  <td>
                    {layer.bags === null ? '' : `${layer.bags} (${figures(layer.bagsExact ?? 0)})`}
                  </td>
                  <td>
                    {layer.bags === null || b.base === undefined
                      ? ''
                      : shown(depthOfBags(layer.bags, b.base, areaM2))}
                  </td>
                  <td>
                    {layer.bags === null || p.base === undefined
                      ? ''
                      : (layer.bags * p.base).toFixed(2)}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
    </Sum>
  );
}
