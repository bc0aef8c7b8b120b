import { words } from '../../figure';

export const CUT = {
  trim: words('Trimmed off each edge', 'As chosen.'),
  kerf: words('Lost at each cut', 'The knife’s width and its crumbs, as chosen.'),
  length: words('Piece, long', 'The trimmed sheet, less the cuts, parted evenly.'),
  width: words('Piece, wide', 'The trimmed sheet, less the cuts, parted evenly.'),
  perSheet: words('Pieces of a sheet', 'Columns times rows.'),
  allows: words('The sheets allow', 'Pieces that can be cut.'),
  sheets: (each: number, wanted: number) => words('Sheets', `${each} pieces a sheet, and ${wanted} wanted.`),
  height: words('Height wanted', 'Of the baked sheet, as chosen.'),
  needed: words('Batter needed', 'A sheet of that height, baked, and what is lost on the way.'),
  ready: words(
    'Batter for the sheets',
    'What goes into them: all of it, so that eggs kept whole make them a little higher.',
  ),
  mass: words('Batter in a sheet', 'The same in each.'),
  untilCut: 'Cooling until it can be cut',
  baked: words('A sheet, baked', 'Weigh it and the plan goes on from there.'),
  pieceHeight: words('Piece, high', 'What the sheet comes to, spread over its area.'),
  cake: words('One piece of cake', 'Its part of the sheet, less what knife and trimming take.'),
  top: words(
    'Top of a piece, as a round one',
    'The round top of the same area: what frosting is reckoned by.',
  ),
  cakes: words('Pieces of cake in all', 'Cut, before anything goes on.'),
  trimmings: words('Trimmings and spare pieces', 'Edges, kerf and what is over: good crumb for pops.'),
} as const;
