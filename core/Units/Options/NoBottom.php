<?php

declare(strict_types=1);

namespace Incastro\Units\Options;

use Incastro\Fit\Holds\LeavesBottomOut;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\BoxOption;
use Incastro\Units\Hardware;
use Incastro\Units\Sites\OpeningSite;

/**
 * The box stands open on what is below it: on a box or a worktop, or on the floor for what rolls. A strip at its foot behind keeps its
 * sides apart and is screwed down; where something rolls as far back as that, brackets alone hold them.
 */
#[About('no-bottom', 'No bottom', 'It stands open on what is below it.', 'Backs')]
final readonly class NoBottom implements BoxOption, LeavesBottomOut
{
    private const BRACKETS = 2;

    public function __construct(#[Toggle('A strip at the foot behind', true)] public bool $strip)
    {
    }

    public function hasStrip(): bool
    {
        return $this->strip;
    }

    public function change(OpeningSite $site, Assembly $box, string $id): Assembly
    {
        if (! $site->isOpenBelow()) {
            return $box->finding(Finding::warning(Code::FootGap, sprintf('Only the lowest cell of box %s has a bottom to leave out.', $site->box->mark), $site->opening->tierId)->withWaysOut([new WayOut('Take it away', Edits::withoutOption($id))]));
        }

        return $box->bought([new Hardware('angle bracket', $this->strip ? self::BRACKETS : 2 * self::BRACKETS, 'sides to what is below', ArticleKind::AngleBracket)]);
    }
}
