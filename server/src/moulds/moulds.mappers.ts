import type { CopyView, MouldView, PictureView, TubView } from '@dewpot/contract';
import type { MouldCopyEntity, MouldEntity, MouldPictureEntity, TubEntity } from './moulds.entities.js';

function copyView(row: MouldCopyEntity): CopyView {
  const { id, mark, cycles, condition, note, retired, lastColour, washedAt } = row;
  return {
    ...{ id, mark, cycles, condition, note, retired },
    ...(lastColour !== null && { lastColour }),
    ...(washedAt !== null && { washedAt }),
  };
}

const pictureView = ({ id, caption, width, height }: MouldPictureEntity): PictureView => ({
  id,
  caption,
  width,
  height,
});

/** A mould with those of the copies and pictures that are its own. */
export function mouldView(
  { id, version, name, body, cycles }: MouldEntity,
  copies: readonly MouldCopyEntity[],
  pictures: readonly MouldPictureEntity[],
): MouldView {
  const own = copies.filter(({ mouldId }) => mouldId === id);
  return {
    ...body,
    ...{ id, version, name, cycles },
    copies: own.sort((a, b) => a.mark.localeCompare(b.mark, 'en', { numeric: true })).map(copyView),
    pictures: pictures.filter(({ mouldId }) => mouldId === id).map(pictureView),
  };
}

export const tubView = ({ id, version, name, body }: TubEntity): TubView => ({ id, version, name, ...body });
