import './app/theme.css';
