import { imageRoute } from '@/server/http';
import { photo } from '@/server/inspect';

export const GET = imageRoute('read', photo);
