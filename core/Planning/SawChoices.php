<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Measure\Unreadable;
use Incastro\Rules\Edit;
use Incastro\Saw\GuidedSaw;
use Incastro\Saw\MitreSaw;
use Incastro\Saw\TableSaw;
use Incastro\Saw\Tools;
use Incastro\Saw\Yard;

/**
 * The saws of a home and who stands at them, for all its jobs. `table_saw` with true is owned with what is usual, with null it is not;
 * `table_saw.rip` changes one figure.
 */
final class SawChoices
{
    private const MOST_GUIDES = 6;

    /** What is usual, mm and inch each in round figures, with the least and the most, mm. */
    private const LENGTHS = [
        'table_saw' => [
            'kerf' => ['Kerf of the table saw', '3.2', '1/8', 0.5, 8], 'rip' => ['Greatest distance of fence and blade', '610', '24', 100, 2000],
            'least_contact' => ['Least contact with the fence', '300', '12', 100, 1000], 'height' => ['Height of cut', '75', '3', 5, 200],
            'sled_widest' => ['Widest part on the sled', '600', '24', 50, 2000], 'sled_stop' => ['How far the stop of the sled reaches', '900', '36', 50, 3000],
            'correction' => ['Set more than the size, as its scale is off', '0', '0', -5, 5],
        ],
        'guided_saw' => [
            'kerf' => ['Kerf of the guided saw', '2.2', '3/32', 0.5, 8], 'run_on' => ['How far the guide runs on, before and behind together', '150', '6', 0, 1000],
            'offset' => ['From the guide’s edge to the kerf, guide on the piece', '0', '0', -5, 250], 'offset_waste' => ['The same with the guide on the waste', '0', '0', -5, 250],
            'depth' => ['Depth of cut', '55', '2 1/8', 5, 200],
        ],
        'mitre_saw' => [
            'kerf' => ['Kerf of the mitre saw', '3.2', '1/8', 0.5, 8], 'widest' => ['Widest part at the mitre saw', '300', '12', 20, 1000],
            'height' => ['Height of cut', '90', '3 1/2', 5, 300], 'stop' => ['How far the stop reaches', '2400', '96', 100, 6000],
            'least_held' => ['Shortest part that can be held', '150', '6', 0, 600],
            'correction' => ['Stop set more than the size, as its scale is off', '0', '0', -5, 5],
        ],
        'yard' => [
            'kerf' => ['Kerf of the yard’s saw', '4', '5/32', 0.5, 10], 'tolerance' => ['How exactly the yard cuts, ±', '2', '1/16', 0, 10],
            'least_strip' => ['Narrowest strip that the yard cuts', '100', '4', 10, 1000], 'oversize' => ['Asked for on top, to be sawn off at home', '5', '3/16', 0, 30], 'step' => ['Sizes are asked for in steps of', '1', '1/16', 0.1, 10],
        ],
        'ride_home' => [
            'length' => ['Longest part that goes home with you', '2000', '80', 300, 8000], 'width' => ['Widest part that goes home with you', '1000', '40', 100, 3000],
        ],
    ];

    /** What nobody has unless they say so. */
    private const NOT_USUAL = ['yard', 'ride_home'];

    /** @return array<string, mixed> a workshop with a saw of each sort */
    public static function defaults(Unit $unit): array
    {
        return [...array_combine(array_keys(self::LENGTHS), array_map(fn (string $saw) => in_array($saw, self::NOT_USUAL, true) ? null : self::usual($saw, $unit), array_keys(self::LENGTHS))), 'people' => 1, 'window' => 2];
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<string, mixed> changed
     *
     * @throws InvalidChoice
     */
    public static function apply(array $document, Edit $edit, LengthFormat $format): array
    {
        [$saw, $name] = [...explode('.', $edit->path, 2), null];
        $whole = ['people' => Field::whole('People at the saw', 1, 2), 'window' => Field::whole('Sheets open at once', 1, 20)][$saw] ?? null;
        if ($whole !== null && $name === null) {
            return [$saw => $whole->store($edit->path, $edit->value)] + $document;
        }
        if (! isset(self::LENGTHS[$saw])) {
            throw new InvalidChoice($edit->path, sprintf('“%s” is not a saw of this home.', $edit->path));
        }
        if ($name === null) {
            return [$saw => Field::yesNo('Owned')->orComputed()->store($edit->path, $edit->value) === true ? self::usual($saw, $format->unit) : null] + $document;
        }
        $field = is_array($document[$saw] ?? null) ? self::field($saw, $name, $format) : null;
        if ($field === null) {
            throw new InvalidChoice($edit->path, sprintf('“%s” is not a figure of a saw of this home.', $edit->path));
        }
        $changed = [$saw => [$name => $field->store($edit->path, $edit->value)] + $document[$saw]] + $document;
        if ($changed['guided_saw'] !== null && self::read($changed)->guided?->reach() <= 0) {
            throw new InvalidChoice($edit->path, 'The guides are no longer than what runs on before and behind the cut: nothing could be cut.');
        }

        return $changed;
    }

    /** @param array<string, mixed> $document */
    public static function read(array $document): Tools
    {
        [$table, $guided, $mitre] = [$document['table_saw'], $document['guided_saw'], $document['mitre_saw']];

        return new Tools(
            $table === null ? null : new TableSaw($table['kerf']['nm'], $table['rip']['nm'], $table['push_alone'], $table['push_two'], $table['least_contact']['nm'], $table['has_sled'] ? $table['sled_widest']['nm'] : null, $table['sled_stop']['nm'], $table['height']['nm'], $table['outfeed'], correction: $table['correction']['nm'] ?? 0),
            $guided === null ? null : new GuidedSaw($guided['kerf']['nm'], $guided['guides']['nm'], $guided['run_on']['nm'], $guided['offset']['nm'], $guided['offset_waste']['nm'], $guided['depth']['nm']),
            $mitre === null ? null : new MitreSaw($mitre['kerf']['nm'], $mitre['widest']['nm'], $mitre['height']['nm'], $mitre['stop']['nm'], $mitre['least_held']['nm'], $mitre['correction']['nm'] ?? 0),
            $document['people'],
            self::yard($document),
        );
    }

    /** @param array<string, mixed> $document */
    private static function yard(array $document): ?Yard
    {
        $yard = $document['yard'] ?? null;
        $ride = self::rideHome($document);

        return $yard === null ? null : new Yard($yard['cuts'], $yard['tolerance']['nm'], $yard['least_strip']['nm'], $yard['kerf']['nm'], $yard['oversize']['nm'], $yard['step']['nm'], $ride === null ? null : [$ride[0]->nanometres(), $ride[1]->nanometres()]);
    }

    /**
     * The longest and the widest part that goes home with whoever shops; null where any does.
     *
     * @param  array<string, mixed>  $document
     * @return array{Length, Length}|null
     */
    public static function rideHome(array $document): ?array
    {
        $ride = $document['ride_home'] ?? null;

        return $ride === null ? null : [Length::ofNanometres($ride['length']['nm']), Length::ofNanometres($ride['width']['nm'])];
    }

    /** @return array<string, array<string, string>> what each figure is called, by saw */
    public static function labels(): array
    {
        return array_map(fn (array $figures) => array_map(fn (array $figure) => (string) $figure[0], $figures), self::LENGTHS);
    }

    private static function field(string $saw, string $name, LengthFormat $format): ?Field
    {
        return match (true) {
            isset(self::LENGTHS[$saw][$name]) => self::lengthField(self::LENGTHS[$saw][$name], $format),
            $saw === 'table_saw' && $name === 'push_alone' => Field::number('The heaviest part that one person pushes, kg', 1, 100),
            $saw === 'table_saw' && $name === 'push_two' => Field::number('The heaviest part that two push, kg', 1, 200),
            $saw === 'table_saw' && $name === 'outfeed' => Field::yesNo('Something carries parts behind the blade'),
            $saw === 'table_saw' && $name === 'has_sled' => Field::yesNo('A sled with a stop'),
            $saw === 'yard' && $name === 'cuts' => Field::whole('Straight cuts of a sheet', 0, 20),
            $saw === 'guided_saw' && $name === 'guides' => self::guides($format),
            default => null,
        };
    }

    /** @param array{string, string, string, float|int, float|int} $figure */
    private static function lengthField(array $figure, LengthFormat $format): Field
    {
        return Field::length($figure[0], $format->finest(), Length::ofDouble((float) $figure[3]), Length::ofDouble((float) $figure[4]));
    }

    /** Lengths of guides, typed one after another: “1400, 1400”. */
    private static function guides(LengthFormat $format): Field
    {
        return Field::of('Guides', function (mixed $value) use ($format): array {
            $typed = is_scalar($value) ? trim((string) $value) : '';
            $guides = array_map(fn (string $one) => (new LengthReader($format->unit))->read($one), array_filter(array_map(trim(...), preg_split('/[;,](?!\d*\s*$)|[;,]\s+|\s\+\s/', $typed) ?: [])));
            foreach ($guides as $guide) {
                if ($guide->isLessThan(Length::ofMillimetres(200)) || $guide->isGreaterThan(Length::ofMillimetres(6000))) {
                    throw new Unreadable(sprintf('%s is no length of a guide. It is between %s and %s.', $format->write($guide), $format->write(Length::ofMillimetres(200)), $format->write(Length::ofMillimetres(6000))));
                }
            }
            if ($guides === [] || count($guides) > self::MOST_GUIDES) {
                throw new Unreadable(sprintf('Type the length of each guide, 1 to %d, such as “%s”.', self::MOST_GUIDES, $format->unit === Unit::Inch ? '55, 55' : '1400, 1400'));
            }

            return ['nm' => array_values(array_map(fn (Length $guide) => $guide->nanometres(), $guides)), 'typed' => $typed];
        });
    }

    /** @return array<string, mixed> */
    private static function usual(string $saw, Unit $unit): array
    {
        $format = $unit === Unit::Inch ? LengthFormat::inches() : LengthFormat::millimetres();
        $lengths = array_map(fn (array $figure) => self::lengthField($figure, $format)->store($saw, $figure[$unit === Unit::Inch ? 2 : 1]), self::LENGTHS[$saw]);

        return $lengths + match ($saw) {
            'table_saw' => ['push_alone' => 20.0, 'push_two' => 35.0, 'outfeed' => true, 'has_sled' => false],
            'guided_saw' => ['guides' => self::guides($format)->store($saw, $unit === Unit::Inch ? '55, 55' : '1400, 1400')],
            'yard' => ['cuts' => 3],
            default => [],
        };
    }
}
