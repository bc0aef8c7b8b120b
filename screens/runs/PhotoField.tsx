import { useState } from 'react';
import { Image, View } from 'react-native';
import { QuietAction } from '../../ui/actions';
import { FieldFault } from '../../ui/fieldFault';
import { space } from '../../ui/theme';

/** The longer side of a picture that is kept, px, and the most that it may take, letters. */
const SIDE = 560;
const MOST = 190_000;

/** Draws a picture small enough to be kept beside a note. Throws where the browser cannot read it. */
export async function smallPicture(file: Blob): Promise<string> {
  const picture = await createImageBitmap(file);
  const by = Math.min(1, SIDE / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * by));
  canvas.height = Math.max(1, Math.round(picture.height * by));
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no canvas');
  // A drawing with holes in it is not to become black.
  context.fillStyle = '#ffffff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.drawImage(picture, 0, 0, canvas.width, canvas.height);
  for (const quality of [0.78, 0.6, 0.4, 0.2]) {
    const text = canvas.toDataURL('image/jpeg', quality);
    if (text.length <= MOST) return text;
  }
  throw new Error('too large');
}

/** A small photo of what came out, kept in this browser and nowhere else. */
export function PhotoField({
  photo,
  onPhoto,
}: {
  readonly photo: string | null;
  readonly onPhoto: (photo: string | null) => void;
}) {
  const [fault, setFault] = useState<string | null>(null);
  const pick = () => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = 'image/*';
    input.onchange = () => {
      const [file] = input.files ?? [];
      if (!file) return;
      smallPicture(file).then(
        (text) => {
          setFault(null);
          onPhoto(text);
        },
        () => setFault('The browser cannot read this as a picture. Take a JPEG or a PNG.'),
      );
    };
    input.click();
  };
  return (
    <View style={{ gap: space(1) }}>
      {photo ? (
        <Image
          source={{ uri: photo }}
          aria-label="The photo as it is kept"
          resizeMode="cover"
          style={{ width: '100%', height: 160, borderRadius: 12 }}
        />
      ) : null}
      {photo ? (
        <QuietAction title="Without the photo" onPress={() => onPhoto(null)} />
      ) : (
        <QuietAction title="A small photo" onPress={pick} />
      )}
      <FieldFault words={fault} />
    </View>
  );
}
