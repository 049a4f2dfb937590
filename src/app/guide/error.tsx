'use client';
export { default } from '@/ui/frame/Failed';
