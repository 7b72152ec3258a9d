<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * @property string $id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property bool $is_demo
 */
final class User extends Authenticatable
{
    use HasUuids;

    protected $fillable = ['name', 'email', 'password'];

    protected $attributes = ['is_demo' => false, 'remember_token' => null];

    protected $hidden = ['password', 'remember_token'];

    protected function casts(): array
    {
        return ['password' => 'hashed', 'is_demo' => 'boolean'];
    }

    /** @return HasMany<Home, $this> */
    public function homes(): HasMany
    {
        return $this->hasMany(Home::class)->orderBy('created_at');
    }
}
