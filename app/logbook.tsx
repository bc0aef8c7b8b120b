export { LogbookScreen as default } from '../screens/logbook/LogbookScreen';
