import { usePreferences } from '../../../app/preferences';
import { OpensInPlace } from '../../../ui';
import { bandsOfService, frequencyText, nextBand, SERVICES } from '../../../units';
import type { Offered } from '../../../units';
import { band as newBand, bandsOf } from '../document/model';
import { useSheet } from '../sheetContext';

/** A band more: of the region's usual ones, or one to be given a frequency by hand. */
export function AddBand() {
  const { plan, band: inFocus, command, address } = useSheet();
  const { settings } = usePreferences();
  const present = bandsOf(plan).map((b) => b.frequencyMHz ?? 0);

  function add(offered: Offered, close: () => void) {
    const band = {
      ...newBand(offered.name, offered.frequencyMHz),
      ...(inFocus?.branch && { branch: inFocus.branch }),
    };
    command({ do: 'addBand', band });
    address.put({ band: band.id });
    close();
  }

  return (
    <OpensInPlace
      label="Add a band"
      text="Add a band"
      className="quiet shrink-0 bg-paper px-4 min-[641px]:sticky min-[641px]:right-0 min-[641px]:border-l min-[641px]:border-hairline"
      width={330}
    >
      {(close) => (
        <>
          <button
            type="button"
            className="quiet text-left"
            onClick={() => add({ ...nextBand(present, settings.region), name: '' }, close)}
          >
            Type a frequency of my own
          </button>
          {SERVICES.map((service) => (
            <div key={service.name} className="border-t border-hairline pt-1.5">
              <p className="text-small text-soft">{service.name}</p>
              <div className="flex flex-wrap gap-1 pt-1">
                {bandsOfService(service, settings.region).map((b) => (
                  <button
                    key={b.name}
                    type="button"
                    title={frequencyText(b.frequencyMHz)}
                    className="min-h-6 border border-control px-1.5 hover:border-blue hover:text-blue max-[899px]:min-h-11"
                    onClick={() => add(b, close)}
                  >
                    {b.name}
                  </button>
                ))}
              </div>
            </div>
          ))}
        </>
      )}
    </OpensInPlace>
  );
}
