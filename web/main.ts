import { PiniaColada } from '@pinia/colada';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import 'vuetify/styles';
import App from './app/App.vue';
import { router } from './app/router';
import { tidyDevice } from './stores/device';
import './theme/fonts';
import './theme/tokens.css';
import './theme/base.css';
import { vuetify } from './theme/vuetify';

tidyDevice();
createApp(App).use(createPinia()).use(PiniaColada).use(vuetify).use(router).mount('#app');
