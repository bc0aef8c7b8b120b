import { later } from '../../screens/later';
import { loadRunScreens } from '../../screens/runs/loadRunScreens';

export default later(loadRunScreens, 'FromScreen');
