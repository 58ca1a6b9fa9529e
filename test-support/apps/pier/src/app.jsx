import { useEffect, useState } from 'react';
import { Boats } from './boats.jsx';
import { Fares } from './fares.jsx';
import de from './locales/de.json';
import en from './locales/en.json';

const texts = navigator.language.startsWith('de') ? de : en;

function Link({ to, go, children }) {
  const follow = (event) => {
    event.preventDefault();
    history.pushState({}, '', to);
    go(to);
  };
  return (
    <a href={to} onClick={follow}>
      {children}
    </a>
  );
}

export function App() {
  const [path, go] = useState(location.pathname);
  const [isOpen, open] = useState(false);
  useEffect(() => {
    const back = () => go(location.pathname);
    addEventListener('popstate', back);
    return () => removeEventListener('popstate', back);
  }, []);
  return (
    <>
      <header>
        <span className="material-icons">directions_boat</span>
        <nav>
          <Link to="/" go={go}>
            {texts.boats}
          </Link>
          <Link to="/fares" go={go}>
            {texts.fares}
          </Link>
        </nav>
        <button id="notice" onClick={() => open(true)}>
          <i className="bi bi-bell" /> {texts.notice}
        </button>
      </header>
      {isOpen && <p className="notice">{texts.noticeText}</p>}
      <main>{path === '/fares' ? <Fares texts={texts} /> : <Boats texts={texts} />}</main>
    </>
  );
}
