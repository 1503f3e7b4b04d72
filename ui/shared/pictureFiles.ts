/** Knows which files are offered where a picture is chosen: some systems do not know that a phone's own are pictures. */
export const PICTURE_FILES = 'image/*,.heic,.heif';
