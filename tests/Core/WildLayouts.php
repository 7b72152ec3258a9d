<?php

declare(strict_types=1);

namespace Tests\Core;

use Incastro\Fit\Closing\Closing;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Survey\Things\ThingKind;
use Incastro\Survey\Things\ThingRule;
use Incastro\Trial\Dice;

/** Layouts and things as no person would make them, but a file may hold: sizes beyond all rooms, runs along every side. */
final class WildLayouts
{
    private int $ids = 0;

    private function id(): string
    {
        return 'c'.++$this->ids;
    }

    /** @return array<string, mixed> */
    public function layout(Dice $dice, int $corners): array
    {
        $this->ids = 0;
        $mm = fn (float ...$sizes) => TestLayout::mm($dice->pick(array_values($sizes)));
        $size = fn (float ...$sizes) => $dice->chance(0.67) ? ['share' => $dice->whole(1, 24)] : $mm(...$sizes);
        $layout = Doc::none();
        for ($r = $dice->whole(1, 3); $r > 0; $r--) {
            $bays = [];
            for ($b = $dice->whole(1, $dice->pick([2, 4, 9])); $b > 0; $b--) {
                $tiers = [];
                for ($t = $dice->whole(1, $dice->pick([1, 3, 6])); $t > 0; $t--) {
                    $tiers[] = Doc::tier($this->id(), [
                        'size' => $size(10, 40, 300, 700, 2500, 6000), 'joined' => $dice->chance(0.5),
                        'holds' => $dice->pick([fn () => Recipe::box($dice->whole(0, 3), $dice->pick([0, 1, 4, 20])), fn () => Recipe::box($dice->whole(0, 3), $dice->pick([0, 1, 4, 20])), Recipe::gap(...), Recipe::knees(...), fn () => Doc::holds('filler-panel'), fn () => Recipe::cleats($dice->whole(1, 20))])(),
                        'depth' => $dice->chance(0.75) ? null : $mm(50, 200, 900, 3000), 'snap' => $dice->chance(0.8) ? null : 'c'.$dice->whole(1, 20),
                    ]);
                }
                $bays[] = Doc::bay($this->id(), $tiers, ['size' => $size(10, 60, 400, 900, 3000), 'joined' => $dice->chance(0.5), 'top' => $dice->pick(['sloped', 'stepped', 'below']), 'snap' => $dice->chance(0.75) ? null : $dice->pick(['t1', 't2', 'c2'])]);
            }
            $ends = ['through', 'stops', 'corner'];
            $run = Doc::run($this->id(), $dice->whole(0, $corners - 1), $bays, [
                'height' => $dice->chance(0.67) ? null : $mm(100, 500, 2000, 6000), 'depth' => $dice->chance(0.67) ? null : $mm(100, 250, 600, 1200, 3000),
                'left' => $dice->pick($ends), 'right' => $dice->pick($ends),
            ]);
            $layout['runs'][] = $run;
            $cells = Doc::idsOfRun($run);
            foreach (['plinth', 'worktop', 'end-panel'] as $member) {
                if ($dice->chance(0.5)) {
                    $layout['members'][] = ['with' => $member !== 'worktop' || $dice->chance(0.5) ? [] : ['overhang' => $mm(0, 20, 400)]] + Doc::member($this->id(), $member, [$cells[1], ...array_values(array_filter($cells, fn () => $dice->chance(0.67)))]);
                }
            }
            foreach ($cells as $cell) {
                if ($dice->chance(0.25)) {
                    $layout['closings'][$dice->pick(['left', 'right', 'top']).':'.$cell] = $dice->pick(Closing::cases())->value;
                }
            }
        }

        return ['openings' => $dice->chance(0.5) ? ['t1', 't2'] : []] + $layout;
    }

    /** @return list<array<string, mixed>> */
    public static function things(Dice $dice, int $corners): array
    {
        $mm = fn (float ...$sizes) => TestLayout::mm($dice->pick(array_values($sizes)));
        $things = [];
        for ($i = $dice->whole(0, 3); $i > 0; $i--) {
            $kind = $dice->pick(ThingKind::cases());
            $things[] = [
                'id' => "t$i", 'kind' => $kind->value, 'name' => "Thing $i", 'face' => $dice->pick(['wall', 'wall', 'floor', 'ceiling']), 'wall' => $dice->whole(0, $corners - 1),
                'along' => $mm(0, 100, 700, 5000), 'along_from' => $dice->pick(['left', 'right']), 'up' => $mm(0, 300, 1500, 4000), 'up_from' => $dice->pick(['floor', 'ceiling']),
                'width' => $mm(100, 300, 2000), 'height' => $mm(1, 80, 1000, 3000), 'stands_out' => $mm(0, 5, 80, 700), 'rule' => $dice->pick(ThingRule::cases())->value,
                'reach_from' => $dice->pick([null, 'front', 'above', 'side', 'inside']), 'hand_room' => $dice->chance(0.5) ? null : $mm(100), 'clearance' => $dice->chance(0.5) ? null : $mm(50),
                'swing' => $dice->pick([null, 'left', 'right', 'slides']), 'direction' => $dice->pick([null, 'up', 'along', 'out']), 'traced' => null,
            ];
        }

        return $things;
    }
}
