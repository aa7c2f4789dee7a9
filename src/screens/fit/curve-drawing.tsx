/** The vehicle on the curve from above, with what it sweeps: dashed. */
export function CurveDrawing({
  vehicle,
  radius,
  swept,
}: {
  vehicle: { length: number; pivots: number; width: number };
  radius: number | null;
  swept: { inside: number; outside: number };
}) {
  const w = vehicle.length * 1.3;
  const h = (swept.inside + swept.outside) * 1.6;
  const middle = radius === null ? 0 : radius - Math.sqrt(radius ** 2 - (vehicle.pivots / 2) ** 2);
  const arc = (offset: number): string => {
    if (radius === null) return `M${-w / 2} ${-offset}H${w / 2}`;
    const r = radius + offset;
    const x = Math.min(w / 2, r);
    const y = radius - Math.sqrt(Math.max(0, r ** 2 - x ** 2));
    return `M${-x} ${y}A${r} ${r} 0 0 1 ${x} ${y}`;
  };
  return (
    <svg
      viewBox={`${-w / 2} ${-h / 2 - swept.outside / 3} ${w} ${h + swept.outside / 1.5}`}
      className="mt-2 h-36 w-full max-w-md"
      role="img"
      aria-label="The vehicle on its track from above, with what it sweeps dashed"
    >
      <g fill="none" stroke="currentColor" strokeWidth={w / 240}>
        <path d={arc(0)} strokeWidth={w / 400} />
        <path d={arc(swept.outside)} strokeDasharray={`${w / 50} ${w / 80}`} />
        <path d={arc(-swept.inside)} strokeDasharray={`${w / 50} ${w / 80}`} />
        <rect
          x={-vehicle.length / 2}
          y={middle - vehicle.width / 2}
          width={vehicle.length}
          height={vehicle.width}
          fill="var(--color-rule)"
        />
        {[-1, 1].map((s) => (
          <circle key={s} cx={(s * vehicle.pivots) / 2} cy={middle} r={w / 90} fill="currentColor" />
        ))}
      </g>
    </svg>
  );
}
