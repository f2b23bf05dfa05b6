import { useEffect, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { type Instrument, leave, listenTo, readAs, type Source, useInstruments } from './instruments';
import { formats, type LineFormat } from './lines';
import { chooseSerial, hasSerial, standIns } from './sources';

const states: Readonly<Record<Instrument['state'], string>> = { opening: 'is opened', speaks: 'speaks', ended: 'is silent', refused: 'is not open' };

/** Gauges that speak for themselves: which are listened to, how their lines are read, and another one. */
export function SpeakingGauges() {
  const all = useInstruments();
  const [offered, setOffered] = useState<readonly Source[]>([]);
  useEffect(() => {
    let here = true;
    void standIns().then((found) => here && setOffered(found));
    return () => {
      here = false;
    };
  }, []);
  const serial = async () => {
    const source = await chooseSerial();
    if (source) await listenTo(source);
  };
  const open = offered.filter((o) => !all.some((i) => i.id === o.id && i.state === 'speaks'));
  return (
    <div className="speaking" role="group" aria-label="Gauges that speak">
      {all.map((one) => (
        <div key={one.id} className="mb-2">
          <div className="d-flex gap-2 align-items-center flex-wrap">
            <strong>{one.name}</strong> <span className={one.state === 'speaks' ? 'in' : 'out'}>{states[one.state]}</span>
            <Form.Select
              size="sm"
              className="wide-260"
              aria-label={`how the lines of the ${one.name} are read`}
              value={formats.findIndex((f) => f.name === one.format.name)}
              onChange={(e) => {
                const to = formats[Number(e.target.value)];
                if (to) readAs(one.id, to);
              }}>
              {formats.map((f, i) => (
                <option key={f.name} value={i}>
                  {f.name}
                </option>
              ))}
              {!formats.some((f) => f.name === one.format.name) && <option value={-1}>{one.format.name}</option>}
            </Form.Select>
            <Button size="sm" variant="link" onClick={() => leave(one.id)}>
              listen no more
            </Button>
          </div>
          {one.trouble !== undefined && (
            <div className="out" role="alert">
              {one.trouble}
            </div>
          )}
          <OwnFormat one={one} />
        </div>
      ))}
      <div className="d-flex gap-2 flex-wrap">
        {hasSerial() ? (
          <Button size="sm" variant="outline-light" onClick={() => void serial()}>
            listen to a gauge
          </Button>
        ) : (
          <span className="quiet">This browser does not open a serial line; a gauge that types as a keyboard does is read in the pad.</span>
        )}
        {open.map((o) => (
          <Button key={o.id} size="sm" variant="outline-light" onClick={() => void listenTo(o)}>
            {o.name}
          </Button>
        ))}
      </div>
    </div>
  );
}

/** The table of a gauge's own lines, for what the usual ways do not read. */
function OwnFormat({ one }: { readonly one: Instrument }) {
  const { format } = one;
  const put = (to: Partial<LineFormat>) => readAs(one.id, { ...format, ...to, name: 'as set here' });
  return (
    <details>
      <summary className="quiet size-14">its lines by hand</summary>
      <div className="d-flex gap-2 flex-wrap align-items-end mt-1">
        <label>
          <span className="quiet d-block size-13">a line ends with</span>
          <Form.Control
            size="sm"
            className="fig wide-72"
            value={format.ends}
            maxLength={4}
            onChange={(e) => e.target.value !== '' && put({ ends: e.target.value })}
          />
        </label>
        <label>
          <span className="quiet d-block size-13">before the number</span>
          <Form.Control size="sm" className="fig wide-72" value={format.before} maxLength={8} onChange={(e) => put({ before: e.target.value })} />
        </label>
        <label>
          <span className="quiet d-block size-13">without a unit it means</span>
          <Form.Select size="sm" className="wide-78" value={format.units} onChange={(e) => put({ units: e.target.value === 'in' ? 'in' : 'mm' })}>
            <option value="mm">mm</option>
            <option value="in">inch</option>
          </Form.Select>
        </label>
        <Form.Check
          label="its sign is the other way round"
          id={`turned-${one.id}`}
          checked={format.turned}
          onChange={(e) => put({ turned: e.target.checked })}
        />
      </div>
    </details>
  );
}

/** In the head: which gauge speaks. */
export function Speaks() {
  const all = useInstruments();
  const [first] = all;
  if (!first) return null;
  const bad = all.find((i) => i.state !== 'speaks' || i.trouble !== undefined);
  return (
    <span className={bad ? 'out' : 'quiet'} data-testid="speaks">
      {(bad ?? first).name.replace('simulated ', '')} {bad?.state === 'speaks' ? 'is not understood' : states[(bad ?? first).state]}
    </span>
  );
}
