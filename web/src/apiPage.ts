import SwaggerUI from 'swagger-ui-dist/swagger-ui-es-bundle.js'
import 'swagger-ui-dist/swagger-ui.css'
import '@fontsource/ibm-plex-sans/latin-400.css'
import '@fontsource/ibm-plex-sans/latin-600.css'
import '@fontsource/ibm-plex-mono/latin-400.css'
import '@fontsource/zilla-slab/latin-600.css'
import './styles/tokens.css'
import './styles/apiPage.css'

/** The API's own page: its description, from this program alone. */
SwaggerUI({
  url: '/api/openapi.json',
  dom_id: '#api',
  presets: [SwaggerUI.presets.apis],
  validatorUrl: null,
  defaultModelsExpandDepth: -1,
  docExpansion: 'list',
})
