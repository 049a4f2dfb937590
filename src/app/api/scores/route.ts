import { scoresOpenSchema } from '@/contracts/record';
import { own, shopRoute } from '@/server/http';
import { showScores } from '@/server/record';

export const PUT = shopRoute(own('opened or shut the scores of each person'), scoresOpenSchema, showScores);
