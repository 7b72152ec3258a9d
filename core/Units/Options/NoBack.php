<?php

declare(strict_types=1);

namespace Incastro\Units\Options;

use Incastro\Fit\Holds\LeavesBackOut;
use Incastro\Fit\Holds\TakesBack;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\BoxOption;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\OpeningSite;

/**
 * The box has no back: the wall is seen, or pipes go through. Its strips at head and foot keep it square; or, where a person goes through
 * to what is behind, a ring in the back opening.
 */
#[About('no-back', 'No back', 'The wall behind is seen; strips at head and foot, or a ring, keep it square.', 'Backs')]
final readonly class NoBack implements BoxOption, LeavesBackOut, TakesBack
{
    /** What a person crawls through: as one wishes it, and the least; width and height, mm and inches. */
    private const WISHED = [[550.0, 22.0], [550.0, 22.0]];

    private const LEAST = [[450.0, 18.0], [400.0, 16.0]];

    public function __construct(
        #[Toggle('Somebody crawls through', false)] public bool $passage,
        #[Size('Width of the ring that keeps it square', ['45', '1 3/4'], 30, 90)]
        #[When('passage', true)]
        public Length $ring,
    ) {
    }

    public function isPassage(): bool
    {
        return $this->passage;
    }

    public function takes(Catalogue $materials): Length
    {
        return $this->passage ? $materials->carcass->thickness : Length::zero();
    }

    public function change(OpeningSite $site, Assembly $box, string $id): Assembly
    {
        return $this->passage ? Assembly::all($box, $this->built($site), new Assembly([], findings: $this->findings($site, $box, $id))) : $box;
    }

    /** Two uprights from board to board, and two rails between them, flush with the rear. */
    private function built(OpeningSite $site): Assembly
    {
        $wide = Working::start('width of the ring', $this->ring);
        $between = $site->width()->minusTimes('uprights', 2, $this->ring);
        [$w, $h, $r] = [$site->width()->result->toDouble(), $site->height()->result->toDouble(), $this->ring->toDouble()];
        $piece = fn (string $role, Working $length) => $site->make->inner("ring-$role", 'Ring of the passage', $length, $wide, Purpose::Carcass, Grain::Length, [], ['glued and screwed: it keeps the box square'], null, $site->mark("ring-$role"));
        $placed = [
            $left = $site->placed($piece('L', $site->height()), 0.0, 0.0, 0.0, Way::Up, Way::Right, Way::Out, Part::Nailer),
            $right = $site->placed($piece('R', $site->height()), $w - $r, 0.0, 0.0, Way::Up, Way::Right, Way::Out, Part::Nailer),
            $site->placed($piece('foot', $between), $r, 0.0, 0.0, Way::Right, Way::Up, Way::Out, Part::Nailer),
            $site->placed($piece('head', $between), $r, 0.0, $h - $r, Way::Right, Way::Up, Way::Out, Part::Nailer),
        ];
        [$boardL, $boardR] = $site->beside();

        return new Assembly($placed, [new Joint($left->piece->key, $boardL, JointKind::Screws, 'rings of passages'), new Joint($right->piece->key, $boardR, JointKind::Screws, 'rings of passages')]);
    }

    /** @return list<Finding> */
    private function findings(OpeningSite $site, Assembly $box, string $id): array
    {
        $rules = $site->terms->rules;
        $write = $site->terms->write(...);
        $clear = [$site->width()->result->toDouble() - 2 * $this->ring->toDouble(), $site->height()->result->toDouble() - 2 * $this->ring->toDouble()];
        $tier = $site->opening->tierId;
        foreach (['wide', 'high'] as $i => $way) {
            $least = $rules->either(...self::LEAST[$i]);
            if ($clear[$i] < $least->toDouble() - 0.5) {
                return [Finding::clash(Code::CrawlSmall, sprintf('Inside its ring the passage is %s %s; a person needs %s.', $write(max(0.0, $clear[$i])), $way, $site->terms->format->write($least)), $tier)
                    ->withWaysOut([new WayOut(sprintf('A ring of %s', $site->terms->format->write($rules->either(30, 1.1875))), Edits::option($id)->measuring('with.ring', $rules->either(30, 1.1875))), new WayOut('Nobody crawls through', Edits::option($id)->setting(['passage' => false]))])];
            }
        }
        $across = array_values(array_filter($box->placed, fn (Placed $one) => in_array($one->part, [Part::Body, Part::Loose], true) && str_starts_with($one->piece->key, $tier.':') && $one->isLevel() && $one->bounds->z0 > $site->at(0.0, 0.0, 1.0)->z && $one->bounds->z1 < $site->at(0.0, 0.0, $site->height()->result->toDouble() - 1.0)->z));
        if ($across !== []) {
            return [Finding::clash(Code::CrawlSmall, sprintf('%s lies across the passage.', $across[0]->piece->mark), $tier)->withWaysOut([...array_filter([$site->opening->holds->cleared($tier)]), new WayOut('Nobody crawls through', Edits::option($id)->setting(['passage' => false]))])];
        }
        $wished = $rules->either(...self::WISHED[0])->toDouble();
        $narrow = min($clear) >= $wished ? [] : [Finding::note(Code::CrawlSmall, sprintf('The passage is %s by %s: one gets through it, but not with ease, which takes %s.', $write($clear[0]), $write($clear[1]), $write($wished)), $tier)];

        return [...$narrow, Finding::note(Code::CrawlSleep, 'What closes this passage has no latch, and opens from inside at a push. Where somebody sleeps behind it there must be air, a second way out and a smoke alarm; local rules go first.', $tier)];
    }
}
