/** How each kind of log is taken: before a file is there. */
export function HowToLog() {
  return (
    <div className="flex flex-col gap-3 text-[15px] leading-6">
      <h2 className="text-[18px]">How to log it</h2>
      <p>
        <strong>Rise of pressure:</strong> pump the empty, dry chamber down, close its valve with the trap shut off, and
        log the gauge for a quarter to half an hour. A leak goes on straight; moisture rises and flattens.
      </p>
      <p>
        <strong>Pump-down:</strong> log from the moment the pump starts, at the air’s own pressure, until the gauge
        hardly falls any more. Ballast closed, oil warm.
      </p>
      <p>
        <strong>Pump blanked off:</strong> a blank with a gauge on the pump’s own inlet, ballast closed, half an hour
        warm. Vent before a flange is opened.
      </p>
      <p>
        <strong>Bag drop test:</strong> bag down and settled, valve closed, gauge at the far end, ten minutes; before
        resin goes in.
      </p>
      <p>
        <strong>Cycle pull-down:</strong> some cycles, empty, from the start of the pull to the set pressure.
      </p>
      <p className="text-ink-2">Site rules and the maker’s manual come first.</p>
    </div>
  );
}
