<?php

declare(strict_types=1);

namespace Incastro\Rules\Materials;

use Incastro\Measure\Length;
use Incastro\Measure\Unit;

/** The materials of a job, which of them serves each purpose, and what is bought by the piece. */
final readonly class Catalogue
{
    public Material $carcass;

    public Material $frame;

    public Material $back;

    /**
     * @param  non-empty-list<Material>  $all
     * @param  array<string, string>  $uses  ids of materials by purpose
     * @param  list<Article>  $articles  that can be bought
     *
     * @throws \LogicException where nothing serves a purpose that falls back to no other
     */
    public function __construct(public array $all, private array $uses, private array $articles = [])
    {
        $this->carcass = $this->for(Purpose::Carcass);
        $this->frame = $this->for(Purpose::Frame);
        $this->back = $this->for(Purpose::Back);
    }

    public function find(string $id): ?Material
    {
        foreach ($this->all as $material) {
            if ($material->id === $id) {
                return $material;
            }
        }

        return null;
    }

    /** The same with one purpose served otherwise; with an id that is not among them as it was. */
    public function using(Purpose $purpose, ?string $id): self
    {
        return $id === null || $this->find($id) === null ? $this : new self($this->all, [$purpose->value => $id] + $this->uses, $this->articles);
    }

    /** The same with one more material, for a purpose. */
    public function with(Material $material, Purpose $purpose): self
    {
        return new self([...$this->all, $material], [$purpose->value => $material->id] + $this->uses, $this->articles);
    }

    /** What serves a purpose, by itself or by what it falls back to. */
    public function for(Purpose $purpose): Material
    {
        $own = isset($this->uses[$purpose->value]) ? $this->find($this->uses[$purpose->value]) : null;
        $other = $purpose->fallsBackTo();

        return $own ?? ($other === null ? throw new \LogicException("Nothing serves $purpose->value.") : $this->for($other));
    }

    /**
     * Lengths in which something is sold, the shortest first; where the job names none of it, the usual ones.
     *
     * @return non-empty-list<Length>
     *
     * @throws \LogicException of what is not chosen by its length
     */
    public function lengths(ArticleKind $kind, Unit $unit): array
    {
        $lengths = [];
        foreach ($this->articles as $article) {
            if ($article->kind === $kind && $article->length !== null) {
                $lengths[$article->length->nanometres()] = $article->length;
            }
        }
        ksort($lengths);

        return array_values($lengths) ?: $kind->lengths($unit) ?: throw new \LogicException("$kind->value is not sold by length.");
    }

    /** @return list<Article> what serves a need, in whatever packs it is sold */
    public function serving(ArticleKind $kind, ?Length $length, ?float $load): array
    {
        return array_values(array_filter($this->articles, fn (Article $article) => $article->serves($kind, $length, $load)));
    }
}
