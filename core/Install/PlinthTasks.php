<?php

declare(strict_types=1);

namespace Incastro\Install;

use Incastro\Fit\Members\Under;
use Incastro\Fit\Terms;
use Incastro\Install\Checks\GapUnderLevel;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Measure\WorkingStep;
use Incastro\Units\Assembly;
use Incastro\Units\Make\ShimPack;
use Incastro\Units\Placed;

/** Setting, shimming and fixing of a plinth: what lies under each bearer by the floor as it was solved, or as it is read under the level line. */
final readonly class PlinthTasks
{
    /** It takes longer by this for each bearer, minutes. */
    private const A_BEARER = 10.0;

    /** @param array<string, array<string, float>> $levels  the floor under the level line, mm, by the task of a plinth and the place */
    public function __construct(private string $space, private Terms $terms, private int $wall, private Assembly $assembly, private FittingWishes $wishes, private array $levels)
    {
    }

    /** @return list<FittingTask> */
    public function of(Under $under): array
    {
        $bearers = array_values(array_filter($this->assembly->placed, fn (Placed $one) => $one->owner === $under->id && str_contains($one->piece->key, ':bearer-')));
        $apart = count($bearers) < 2 ? $under->length->result->toDouble() : ($under->length->result->toDouble() - $this->terms->board()) / (count($bearers) - 1);
        $level = $this->terms->rules->either(...($under->length->result->toDouble() > GapUnderLevel::LONG[0] ? GapUnderLevel::LONG : GapUnderLevel::SHORT))->toDouble();
        $short = $this->terms->rules->either(...GapUnderLevel::SHORT)->toDouble();
        $format = $this->terms->format;
        $place = [$under->u, $under->end(), 0.0, $under->height->toDouble()];
        $down = $this->levels[FittingTask::id(TaskKind::Plinth, $under->id)] ?? [];
        $floor = $this->floor($bearers, $down);
        $packs = $this->packs($under, $bearers, $floor);

        return [
            new FittingTask(TaskKind::Plinth, $under->id, "$under->mark set and shimmed", $this->wishes->minutes(TaskKind::Plinth) + self::A_BEARER * count($bearers), needs: [Need::on(TaskKind::Level, $this->space)], words: ['Shims under every bearer, back and front, by the drawing; glue or pin them and trim them flush. Two spare of each size lie ready. * is a tapered pair, driven until the level reads within.', ...$this->told($down, $floor)], checks: [
                new GapUnderLevel('level-along', 'Level, left to right', ['left end', 'right end'], $level, max($apart, 1.0), $format),
                new GapUnderLevel('level-across', 'Level, back to front', ['back', 'front'], $short, $under->depth->result->toDouble(), $format),
            ], packs: $packs, wall: $this->wall, place: $place),
            new FittingTask(TaskKind::PlinthFixed, $under->id, "$under->mark fixed", $this->wishes->minutes(TaskKind::PlinthFixed), needs: [Need::on(TaskKind::Plinth, $under->id)], words: ['Through its rear rail into studs or sole plate. No screw goes into a floor that may be heated.'], packs: $packs, wall: $this->wall, place: $place),
        ];
    }

    /**
     * Both ends of every bearer.
     *
     * @param  list<Placed>  $bearers
     * @return array<string, array{int, string, float, float}> number and end, and where; by place
     */
    private static function places(array $bearers): array
    {
        $places = [];
        foreach ($bearers as $i => $bearer) {
            foreach (['back' => $bearer->bounds->v0, 'front' => $bearer->bounds->v1] as $end => $v) {
                $places[sprintf('%d/%s', $i + 1, $end)] = [$i + 1, $end, ($bearer->bounds->u0 + $bearer->bounds->u1) / 2, $v];
            }
        }

        return $places;
    }

    /**
     * @param  list<Placed>  $bearers
     * @param  array<string, float>  $down
     */
    private function floor(array $bearers, array $down): ?FloorLevels
    {
        $read = [];
        foreach (array_intersect_key(self::places($bearers), $down) as $place => [, , $u, $v]) {
            $read[$place] = ['u' => $u, 'v' => $v, 'z' => -$down[$place]];
        }

        return FloorLevels::of($read);
    }

    /**
     * @param  list<Placed>  $bearers
     * @return list<array{u: float, v: float, text: string, place: string}>
     */
    private function packs(Under $under, array $bearers, ?FloorLevels $floor): array
    {
        $places = self::places($bearers);
        $highest = $floor === null ? 0.0 : $this->highest($under, $floor, array_column($places, 2));

        return array_values(array_map(function (string $place, array $at) use ($under, $floor, $highest): array {
            [$number, $end, $u, $v] = $at;
            $pack = $floor === null ? $this->assembly->decisions[ShimPack::name("$under->mark-bearer-$number", $end)] ?? null : ShimPack::under($highest - $floor->at($u, $v), $this->terms->rules);

            return ['u' => $u, 'v' => $v, 'text' => $pack === null ? '–' : $this->stacked($pack), 'place' => $place];
        }, array_keys($places), $places));
    }

    /**
     * Where the floor is highest under its rails the plinth stands on the floor itself.
     *
     * @param  list<float>  $bearers  along the wall
     */
    private function highest(Under $under, FloorLevels $floor, array $bearers): float
    {
        return max(array_map(fn (float $u): float => max($floor->at($u, $under->v), $floor->at($u, $under->front())), [$under->u, ...$bearers, $under->end()]));
    }

    /**
     * What the readings under the line say.
     *
     * @param  array<string, float>  $down
     * @return list<string>
     */
    private function told(array $down, ?FloorLevels $floor): array
    {
        if ($down === []) {
            return [];
        }
        if ($floor === null) {
            return [sprintf('Floor read at %d of the places: three that do not lie on one line tell how it falls, until then the packs are those of the survey.', count($down))];
        }
        $again = array_map(fn (string $place): string => sprintf('%s, %s %s than the others say', implode(', ', explode('/', $place)), $this->terms->format->write(Length::ofDouble(abs($floor->residual($place)))), $floor->residual($place) > 0 ? 'higher' : 'lower'), $floor->doubtful());

        return array_values(array_filter([
            'The packs are by the floor as it was read under the line.',
            $again === [] ? null : sprintf('Read again at bearer %s.', implode('; ', $again)),
        ]));
    }

    /** "3 + 1", a tapered pair as such. */
    private function stacked(Working $pack): string
    {
        $format = $this->terms->format->fine();
        // A tapered pair that is thinner than what is written is driven until the level reads within.
        $write = fn (WorkingStep $step): string => $step->label === 'shim' ? $format->withoutUnit($step->value) : ltrim($format->withoutUnit($step->value).'*', '0');

        return implode(' + ', array_map(fn (WorkingStep $step): string => str_starts_with($write($step), '.') ? '0'.$write($step) : $write($step), $pack->steps));
    }
}
