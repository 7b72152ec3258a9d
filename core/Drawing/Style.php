<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/** What a shape shows; a writer knows how that looks. */
enum Style: string
{
    case House = 'house';
    case Hidden = 'hidden';
    case Plumb = 'plumb';
    case Reading = 'reading';
    case ReadingQuiet = 'reading-quiet';
    case Board = 'board';
    case BoardBehind = 'board-behind';
    case Plinth = 'foot';
    case Gap = 'gap';
    case Sheet = 'sheet';
    case Trimmed = 'trimmed';
    case Offcut = 'offcut';
    case Label = 'label';
    case Measure = 'measure';
    case Answer = 'answer';
    case Grain = 'grain';
    case Field = 'field';
    case Cell = 'cell';
    case BoardTop = 'board-top';
    case BoardSide = 'board-side';
    case Worktop = 'slab';
    case Cut = 'cut';
    case Marked = 'marked';
    case Swing = 'swing';
    case Kept = 'kept';
    case Screw = 'screw';
    case Thing = 'thing';
    case ThingDistance = 'thing-distance';
}
