import './bootstrap.scss';
import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import './theme.css';
import './dark.css';
import './sizes.css';
import './slate.css';
import './forced.css';
