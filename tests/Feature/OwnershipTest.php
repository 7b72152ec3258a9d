<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use Tests\TestCase;

/** What belongs to another person does not exist. */
final class OwnershipTest extends TestCase
{
    /** Parameters of addresses that name nothing of anybody. */
    private const NOBODYS = ['sum'];

    public function test_every_route_to_something_owned_asks_a_policy(): void
    {
        $checked = 0;
        foreach (Routes::getRoutes()->getRoutes() as $route) {
            /** @var Route $route */
            if (! str_starts_with($route->uri(), 'api/') || array_diff($route->parameterNames(), self::NOBODYS) === []) {
                continue;
            }
            self::assertNotEmpty(array_filter($route->gatherMiddleware(), fn ($middleware) => is_string($middleware) && str_starts_with($middleware, 'can:')), $route->uri());
            self::assertContains('auth:sanctum', $route->gatherMiddleware(), $route->uri());
            $checked++;
        }
        self::assertGreaterThan(10, $checked);
    }

    public function test_another_persons_home_job_and_space_answer_404_to_everything(): void
    {
        $job = $this->alcove($this->person());
        $this->actingAs($this->person('two@example.org'));
        $asked = 0;
        foreach (Routes::getRoutes()->getRoutes() as $route) {
            if (! str_starts_with($route->uri(), 'api/') || array_diff($route->parameterNames(), self::NOBODYS) === []) {
                continue;
            }
            $uri = strtr($route->uri(), ['{job}' => $job->id, '{home}' => $job->home_id, '{space}' => $this->space($job)->id]);
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $this->json($method, "/$uri")->assertNotFound();
                $asked++;
            }
        }
        self::assertGreaterThan(10, $asked);
        self::assertModelExists($job);
    }

    public function test_what_does_not_exist_and_what_is_anothers_is_said_in_the_same_words(): void
    {
        $job = $this->alcove($this->person());
        $this->actingAs($this->person('two@example.org'));
        $said = 'This does not exist, or it is not yours.';
        foreach (["jobs/{$job->id}", 'jobs/'.str()->uuid(), 'jobs/nonsense', 'no/such/thing'] as $address) {
            $this->getJson("/api/$address")->assertNotFound()->assertJsonPath('message', $said);
        }
    }

    public function test_an_address_that_is_not_one_is_not_found(): void
    {
        $this->actingAs($this->person())->getJson('/api/jobs/nonsense')->assertNotFound();
    }

    public function test_a_stranger_is_asked_to_sign_in(): void
    {
        $this->getJson('/api/jobs/'.$this->alcove($this->person())->id)->assertUnauthorized();
        self::assertSame(1, User::query()->count());
    }
}
