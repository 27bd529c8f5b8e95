// Comes with the first part that is not of the frame: scripts/styles/carbon-styles.ts has each of them import this.
import 'carbon-components-svelte/css/all.css?forms';
import './carbon-forms.css';
