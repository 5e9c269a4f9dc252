import 'leaflet/dist/leaflet.css';
import L from 'leaflet';

/** A map of the land, with the credit that its tile server asks for. */
export function baseMap(box: HTMLElement): L.Map {
  const map = L.map(box, { attributionControl: false, fadeAnimation: false });
  L.tileLayer('/api/tiles/{z}/{x}/{y}', { maxZoom: 17 }).addTo(map);
  L.control.scale({ imperial: false }).addTo(map);
  void fetch('/api/tiles')
    .then((response) => response.json() as Promise<{ credit: string }>)
    .then(({ credit }) => {
      // As text: whoever set up the server wrote it, but it is no markup of ours.
      const text = document.createElement('span');
      text.textContent = credit;
      if (credit) L.control.attribution({ prefix: false }).addAttribution(text.outerHTML).addTo(map);
    })
    // A map without its credit is still a map: the phone has no network.
    .catch(() => undefined);
  return map;
}
