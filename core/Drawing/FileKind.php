<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/** The kinds of file that a drawing comes as. */
enum FileKind: string
{
    case Pdf = 'pdf';
    case Svg = 'svg';
    case Dxf = 'dxf';

    public function contentType(): string
    {
        return match ($this) {
            self::Pdf => 'application/pdf',
            self::Svg => 'image/svg+xml',
            self::Dxf => 'image/vnd.dxf',
        };
    }
}
