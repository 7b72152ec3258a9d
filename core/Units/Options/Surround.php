<?php

declare(strict_types=1);

namespace Incastro\Units\Options;

use Incastro\Fit\Holds\AsksOfRoom;
use Incastro\Fit\Holds\KeepsFootRail;
use Incastro\Fit\Holds\LeavesBackOut;
use Incastro\Fit\Holds\LeavesBottomOut;
use Incastro\Fit\Holds\LeavesTopOut;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\Asked;
use Incastro\Units\Assembly;
use Incastro\Units\BoxOption;
use Incastro\Units\Hardware;
use Incastro\Units\Sites\OpeningSite;

/**
 * Its sides stand on the floor round the foot of a basin or a machine: no bottom and no back, a stretcher in front and a nailer behind for
 * a top. It is slid home past what stands in it, so that the nailer ends beside that; the worktop over it comes last.
 */
#[About('surround', 'Round a basin or a machine', 'Open below, behind and above, so that it slides home round what stands there.', 'Backs')]
final readonly class Surround implements AsksOfRoom, BoxOption, KeepsFootRail, LeavesBackOut, LeavesBottomOut, LeavesTopOut
{
    private const BRACKETS = 2;

    public function __construct(#[Toggle('A rail at the floor', true, 'Left out for a machine, which is drawn out over the floor.')] public bool $rail)
    {
    }

    public function hasFootRail(): bool
    {
        return $this->rail;
    }

    public function asks(): Asked
    {
        return Asked::Rounds;
    }

    public function isPassage(): bool
    {
        return false;
    }

    public function hasStrip(): bool
    {
        return false;
    }

    public function change(OpeningSite $site, Assembly $box, string $id): Assembly
    {
        if (! $site->isOpenBelow()) {
            return $box->finding(Finding::warning(Code::FootGap, sprintf('Only the lowest cell of box %s stands round what is on the floor.', $site->box->mark), $site->opening->tierId)->withWaysOut([new WayOut('Take it away', Edits::withoutOption($id))]));
        }

        return $box->bought([new Hardware('angle bracket', self::BRACKETS, 'sides to what is below', ArticleKind::AngleBracket)])
            ->finding(Finding::note(Code::Caution, 'Isolate the water before pipes are touched. Shut-offs and traps stay in reach through the open front; the worktop is laid dry first and sealed with a flexible bead last.', $site->opening->tierId));
    }
}
