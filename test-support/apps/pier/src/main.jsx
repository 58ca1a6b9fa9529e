import { createRoot } from 'react-dom/client';
import 'bootstrap-icons/font/bootstrap-icons.css';
import 'material-icons/iconfont/filled.css';
import './app.css';
import { App } from './app.jsx';

createRoot(document.getElementById('root')).render(<App />);
