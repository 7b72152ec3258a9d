<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Fit\Layout\Layout;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Layout\LayoutReader;
use Incastro\Rules\HouseRules;
use Incastro\Survey\Room\WallKind;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\SpaceSurvey;
use Incastro\Survey\Survey;
use Incastro\Survey\Take;
use Incastro\Survey\Textures;
use Incastro\Survey\Things\Thing;

/** A space of a job: where its readings are taken, the takes that count, and what is to stand in it. */
final readonly class Space
{
    /**
     * @param  list<Take>  $takes
     * @param  list<Thing>  $things
     * @param  list<Take>  $withdrawn  takes that somebody took back: shown, not counted
     * @param  array<string, mixed>  $choices  the document of its layout and things, so that a way out can be tried on it
     * @param  array<int, WallKind>  $walls  what they are made of, as far as somebody told
     */
    public function __construct(
        public string $id,
        public string $name,
        public Sheet $sheet,
        public array $takes,
        public Layout $layout,
        public array $things = [],
        public array $withdrawn = [],
        public array $choices = [],
        public Textures $textures = new Textures(),
        public array $walls = [],
    ) {
    }

    /** What its readings come to. */
    public function survey(LengthFormat $format): Survey
    {
        return (new SpaceSurvey($this->sheet, $this->takes, $this->things, $format, $this->textures))->solve();
    }

    /** The same with walls that are planes. */
    public function onPlanes(): self
    {
        return new self(...['textures' => new Textures()] + get_object_vars($this));
    }

    /** The same, asked for by another sheet. */
    public function asking(Sheet $sheet): self
    {
        return new self(...['sheet' => $sheet] + get_object_vars($this));
    }

    /**
     * The same with another layout, its things as they are.
     *
     * @param  array<string, mixed>  $choices  with the document of the layout
     */
    public function laidOut(array $choices, HouseRules $rules): self
    {
        return $this->choosing(LayoutReader::read($choices['layout'], $rules), $this->things, $choices);
    }

    /**
     * The same with its layout and things chosen otherwise.
     *
     * @param  list<Thing>  $things
     * @param  array<string, mixed>  $choices
     */
    public function choosing(Layout $layout, array $things, array $choices): self
    {
        return new self($this->id, $this->name, $this->sheet, $this->takes, $layout, $things, $this->withdrawn, $choices, $this->textures, $this->walls);
    }
}
