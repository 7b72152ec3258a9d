<?php

declare(strict_types=1);

namespace Tests;

use App\Models\Job;
use App\Models\User;

/** A feature test of somebody who is signed in and has the landing alcove among their jobs. */
abstract class AlcoveTestCase extends TestCase
{
    protected User $user;

    protected Job $job;

    protected function setUp(): void
    {
        parent::setUp();
        $this->user = $this->person();
        $this->job = $this->alcove($this->user);
        $this->actingAs($this->user);
    }
}
