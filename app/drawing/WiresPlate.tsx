import { type WiresProps, Band } from './WiresBandPlate.tsx';
import { LAY_NAMES } from '../../words/try.ts';
import { lengthText, FINE } from '../../core/quantity/format.ts';
import { Plate } from './Plate.tsx';
import { NutSection, Section } from './WireSectionPlate.tsx';

/** Wires in the grooves between the anvils, or balls in those of a nut, to scale; beside them what it should say with all that it said. */
export function WiresPlate({ wires, unit }: WiresProps) {
  const said = wires.measured.at(-1);
  const label = `${LAY_NAMES[wires.by]}: should be ${lengthText(wires.targetMm, unit, FINE)}${said ? `, is ${lengthText(said.overMm, unit, FINE)}` : ''}`;
  return (
    <Plate
      label={label}
      draw={({ w, h }) => {
        const side = w > 520 ? Math.min(w * 0.42, 300) : 0;
        return (
          <>
            {side > 0 &&
              (wires.by === 'balls' ? (
                <NutSection plan={wires} unit={unit} w={side} h={h} />
              ) : (
                <Section wires={wires} unit={unit} w={side} h={h} />
              ))}
            <Band wires={wires} unit={unit} x={side} w={w - side} h={h} />
          </>
        );
      }}
    />
  );
}
