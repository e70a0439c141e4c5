import { falseColour, histogram, type AssemblyEvaluation } from '@vitrum/core';

const bins = 44;
const bar = { width: 4, height: 34 } as const;

/** The colours of false colour with their luminance, and over them how much of the face has which. */
export const FalseScale = ({ own, top }: { readonly own: AssemblyEvaluation; readonly top: number }) => {
  const shares = histogram(own.glow.luminance, top, bins);
  const most = Math.max(...shares, 1e-9);
  return (
    <figure className="figure absolute top-11 right-3 rounded-[2px] bg-black/70 px-2 py-1.5 text-[11px] text-[#f2ead8]">
      <svg
        width={bins * bar.width}
        height={bar.height}
        role="img"
        aria-label="How much of the face has which luminance"
        className="block"
      >
        {shares.map((share, index) => {
          const height = (share / most) * bar.height;
          return (
            <rect
              key={index}
              x={index * bar.width}
              y={bar.height - height}
              width={bar.width - 1}
              height={height}
              fill="#f2ead8"
            />
          );
        })}
      </svg>
      <div
        className="h-2"
        style={{
          width: bins * bar.width,
          background: `linear-gradient(to right, ${Array.from({ length: 9 }, (_, at) => `rgb(${falseColour(at / 8).join(' ')})`).join(',')})`,
        }}
      />
      <figcaption className="flex justify-between">
        <span>0</span>
        <span>{Math.round(top / 2)}</span>
        <span>{Math.round(top)} cd/m²</span>
      </figcaption>
    </figure>
  );
};
