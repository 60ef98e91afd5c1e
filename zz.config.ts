import config from './playwright.config'
const {globalSetup:_, ...rest}=config; process.env['EVEN_WATT_DEMO']='http://127.0.0.1:4791'; export default {...rest, reporter:[['list']], workers:2}
