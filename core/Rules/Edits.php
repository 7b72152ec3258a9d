<?php

declare(strict_types=1);

namespace Incastro\Rules;

use Incastro\Measure\Length;
use Incastro\Rules\Materials\Purpose;

/**
 * Makes the edits that ways out propose: the one place that knows how the parts of a layout are addressed. Example:
 * `Edits::tier($id)->with('depth', null)`.
 */
final readonly class Edits
{
    private function __construct(private string $path)
    {
    }

    public static function run(string $id): self
    {
        return new self("layout.runs.$id");
    }

    public static function bay(string $id): self
    {
        return new self("layout.bays.$id");
    }

    public static function tier(string $id): self
    {
        return new self("layout.tiers.$id");
    }

    public static function thing(string $id): self
    {
        return new self("things.$id");
    }

    /** A school of the job's rules. */
    public static function school(string $name, string $value): Edit
    {
        return (new self('schools'))->with($name, $value);
    }

    /** The usual material for a purpose put to those of the job. */
    public static function usualMaterial(Purpose $purpose): Edit
    {
        return new Edit('materials.usual', $purpose->value);
    }

    /** Whether a tool is at hand. */
    public static function tool(Tool $tool, bool $isThere): Edit
    {
        return (new self('tools'))->with($tool->value, $isThere);
    }

    /** A field of the part is given a value; null as computed. */
    public function with(string $field, mixed $value): Edit
    {
        return new Edit("$this->path.$field", $value);
    }

    /** A field of the part is given a length that was computed. */
    public function measuring(string $field, Length $length): Edit
    {
        return $this->with($field, ['nm' => $length->nanometres(), 'typed' => '']);
    }

    /**
     * What it holds is set otherwise: stored values by the names of its parameters, null as usual.
     *
     * @param  array<string, mixed>  $with
     */
    public function setting(array $with): Edit
    {
        return $this->with('with', $with);
    }

    /** Nothing stands in it any more. */
    public function emptied(): Edit
    {
        return $this->with('holds', null);
    }

    /** What closes an opening is taken away. */
    public static function withoutFront(string $id): Edit
    {
        return self::without('fronts', $id);
    }

    public static function front(string $id): self
    {
        return new self("layout.fronts.$id");
    }

    /** What a box has besides. */
    public static function option(string $id): self
    {
        return new self("layout.options.$id");
    }

    public static function withoutOption(string $id): Edit
    {
        return self::without('options', $id);
    }

    public static function surface(string $id): self
    {
        return new self("layout.surfaces.$id");
    }

    public static function withoutSurface(string $id): Edit
    {
        return self::without('surfaces', $id);
    }

    public static function member(string $id): self
    {
        return new self("layout.members.$id");
    }

    public static function withoutMember(string $id): Edit
    {
        return self::without('members', $id);
    }

    /** What stands in one of the lists beside the cells is taken away. */
    public static function without(string $list, string $id): Edit
    {
        return new Edit("layout.$list.$id", null);
    }

    /** An opening is cut for a thing in what covers it. */
    public static function opening(string $thing): Edit
    {
        return new Edit("layout.openings.$thing", true);
    }

    /**
     * An action on a cell or a run, as the keys do it.
     *
     * @param  string  $seed  of the ids of what is made; the same again makes the same
     * @param  array<string, mixed>  $more  what the action asks for besides
     */
    public static function action(string $action, string $cell, string $seed, array $more = []): Edit
    {
        return new Edit('layout.do', ['action' => $action, 'cell' => $cell, 'seed' => $seed] + $more);
    }
}
