<?php

declare(strict_types=1);

namespace Incastro\Units;

/** What a piece is to its unit, and so how it is drawn and carried: the parts of a body go in together, and a lining stands in the wall itself. */
enum Part: string
{
    case Body = 'body';
    case Loose = 'loose';
    case Back = 'back';
    case Face = 'face';
    case Plinth = 'plinth';
    case Worktop = 'worktop';
    case Nailer = 'nailer';
    case Cleat = 'cleat';
    case Cladding = 'cladding';
    case Lining = 'lining';
}
