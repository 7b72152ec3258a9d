<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Piece;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Words;

/**
 * Which pieces of a space would be of another size if its walls were planes, while nobody has said how even they are: a space that was
 * planned before anybody was asked is not the same without a word.
 */
final readonly class NotStated
{
    /** So many are named. */
    private const NAMED = 4;

    /** A difference that is sawn, mm. */
    private const SAWN = 0.05;

    public function __construct(private LengthFormat $format)
    {
    }

    /**
     * @param  list<Piece>  $pieces
     * @param  list<Piece>  $onPlanes  those of the same space with walls that are planes
     * @return list<Finding>
     */
    public function changed(array $pieces, array $onPlanes): array
    {
        $planes = array_column($onPlanes, null, 'key');
        $marks = [];
        $most = 0.0;
        foreach ($pieces as $piece) {
            $plane = $planes[$piece->key] ?? null;
            $by = $plane === null ? 0.0 : max(abs($piece->length->result->toDouble() - $plane->length->result->toDouble()), abs($piece->width->result->toDouble() - $plane->width->result->toDouble()));
            if ($by > self::SAWN) {
                $marks[] = $piece->mark;
                $most = max($most, $by);
            }
        }
        if ($marks === []) {
            return [];
        }
        $named = array_slice($marks, 0, self::NAMED);
        $more = count($marks) - count($named);

        return [Finding::note(Code::TextureNotStated, sprintf(
            'Nobody has said how even these walls are, so they are reckoned as ordinary plaster: %s %s up to %s otherwise than between planes. Lay a level on the walls and say what shows under it.',
            Words::listed($more === 0 ? $named : [...$named, "$more more"], 'and'),
            count($marks) === 1 ? 'is' : 'are',
            $this->format->finest()->write(Length::ofDouble($most)),
        ), '')];
    }
}
