<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Holds\SpansCells;
use Incastro\Units\Sites\MemberSite;

/** Spans cells of a run: under them, over them or beside them. */
interface MemberUnit extends SpansCells
{
    public function build(MemberSite $site): Assembly;
}
