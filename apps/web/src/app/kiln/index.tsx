export { KilnScreen as default } from '@/kiln/KilnScreen';
