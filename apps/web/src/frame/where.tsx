import { useLayoutEffect } from 'react';
import { useLocation } from 'react-router';

/** Says at the station of which address it is what is shown: the address of the window is there sooner. */
export function Where() {
  const { pathname } = useLocation();
  useLayoutEffect(() => {
    const station = document.getElementById('station');
    if (station) station.dataset.at = pathname;
  }, [pathname]);
  return null;
}
