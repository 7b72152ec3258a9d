<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** Sheets that are filled one piece after another: each goes where it costs least, or onto a new sheet, or stays out. */
final class Filled
{
    /** @var list<int> types of the pieces that found no place */
    public array $out = [];

    /** @var array<int, int> sheets of each kind */
    private array $count = [];

    public float $price = 0.0;

    /** @param array<int, LaidSheet> $sheets  numbered from 0 */
    public function __construct(private readonly Lay $lay, public array $sheets = [])
    {
        foreach ($sheets as $sheet) {
            $this->counted($sheet->kind, 1);
        }
    }

    /**
     * @param  list<int>  $pieces  types in the order in which they are put
     * @param  list<int>  $kinds  of new sheets, those preferred first
     * @param  float  $limit  that the price stays below
     * @param  (\Closure(): bool)|null  $passes
     */
    public function put(array $pieces, Fit|SettingsFit $fit, array $kinds, float $limit = INF, ?\Closure $passes = null): void
    {
        $known = [];
        $before = -1;
        foreach ($pieces as $type) {
            // Pieces of a size follow one another: only one sheet changes with each.
            $known = $type === $before ? $known : [];
            $before = $type;
            $best = null;
            foreach ($this->sheets as $s => $sheet) {
                $place = $known[$s] ??= $fit->best($sheet->places($this->lay->kerf, $this->lay->least), $this->lay->types[$type], $passes) ?? false;
                if ($place !== false && ($best === null || $place[1] < $best[1][1])) {
                    $best = [$s, $place];
                }
            }
            if ($best !== null) {
                [$s, [$place, , $way]] = $best;
                $this->sheets[$s] = $this->sheets[$s]->with($this->sheets[$s]->places($this->lay->kerf, $this->lay->least)->put($place, Block::piece($type, $way)));
                if ($fit instanceof SettingsFit) {
                    $fit->put($way);
                    $known = [];
                }
                unset($known[$s]);
            } elseif (! $this->onNewSheet($type, $fit, $kinds, $limit)) {
                $this->out[] = $type;
            }
        }
    }

    public function replace(int $s, ?LaidSheet $sheet): void
    {
        $this->counted($this->sheets[$s]->kind, -1);
        if ($sheet === null) {
            array_splice($this->sheets, $s, 1);
        } else {
            $this->counted($sheet->kind, 1);
            $this->sheets[$s] = $sheet;
        }
    }

    public function isAtHand(int $kind): bool
    {
        $quantity = $this->lay->kinds[$kind]->stock->quantity;

        return $quantity === null || ($this->count[$kind] ?? 0) < $quantity;
    }

    public function areaOut(): int
    {
        return array_sum(array_map(fn (int $type) => $this->lay->types[$type]->area, $this->out));
    }

    /** @return array<string, true> */
    public function settings(): array
    {
        return array_merge([], ...array_map(fn (LaidSheet $sheet) => $sheet->settings(), $this->sheets));
    }

    /** The area of the greatest piece left over of a sheet that is bought. */
    public function greatestOffcut(): int
    {
        return max(0, ...array_map(fn (LaidSheet $sheet) => $sheet->of->stock->isSawn ? 0 : $sheet->greatestOffcut($this->lay->kerf), $this->sheets));
    }

    /** @param list<int> $kinds */
    private function onNewSheet(int $type, Fit|SettingsFit $fit, array $kinds, float $limit): bool
    {
        foreach ($kinds as $k) {
            $kind = $this->lay->kinds[$k];
            if (! $this->isAtHand($k) || $this->price + $kind->stock->price >= $limit) {
                continue;
            }
            $sheet = new LaidSheet($k, $kind, null);
            $place = $fit->best($sheet->places($this->lay->kerf, $this->lay->least), $this->lay->types[$type]);
            if ($place !== null) {
                $this->sheets[] = $sheet->with(Block::piece($type, $place[2]));
                $this->counted($k, 1);

                return true;
            }
        }

        return false;
    }

    private function counted(int $kind, int $by): void
    {
        $this->count[$kind] = ($this->count[$kind] ?? 0) + $by;
        $this->price += $by * $this->lay->kinds[$kind]->stock->price;
    }
}
