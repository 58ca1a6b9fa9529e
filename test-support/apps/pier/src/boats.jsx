import { useEffect, useState } from 'react';

/** What a server knows comes late. */
export function Boats({ texts }) {
  const [boats, set] = useState([]);
  useEffect(() => {
    const wait = setTimeout(async () => set(await (await fetch('/boats.json')).json()), 150);
    return () => clearTimeout(wait);
  }, []);
  return (
    <>
      <h1>{texts.boats}</h1>
      <p>
        {texts.lead} <em>{texts.stress}</em>
      </p>
      <ul>
        {boats.map(({ name, to }) => (
          <li key={name}>
            <i className="bi bi-water" /> {name} → {to}
          </li>
        ))}
      </ul>
    </>
  );
}
