/** All that pictures say, in one place; figures come in as they are written. */

export const THUMBNAIL = {
  notHere: (alt: string): string => `${alt}, not here`,
  pictureNotHere: 'picture not here',
} as const;

export const PHOTOS = {
  pictureOf: (i: number, theOf: string): string => `Picture ${i} of ${theOf}`,
  large: (theOf: string): string => `${theOf}, large`,
  pictures: 'Pictures',
  takePictureAway: (i: number): string => `× Take picture ${i} away`,
  takingIn: (waiting: number): string => `Taking in ${waiting} …`,
  addAPicture: 'Add a picture',
  takeOne: 'Camera',
  fromDevice: 'From this device',
  noMoreThan: (most: number): string => `At most ${most} pictures are kept here.`,
  keptBrowserUntil: (waiting: number): string => `${waiting} ${waiting === 1 ? 'picture is' : 'pictures are'} kept in this browser until the server answers.`,
  browserNoRoom: 'This browser has no room to keep the picture: leave this page open until the server answers.',
  keptStudiosOwn: 'Kept on this studio’s own server, without place and time of the camera.',
} as const;

export const PIECE_MARK = {
  pictureOf: (name: string): string => `Picture of ${name}`,
  fromAbove: (name: string): string => `${name} from above`,
} as const;
