<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Problems\Problem;
use App\Models\Company;
use App\Models\User;
use Illuminate\Cache\RateLimiter;
use Illuminate\Contracts\Auth\Factory;
use Illuminate\Contracts\Auth\StatefulGuard;
use Illuminate\Contracts\Hashing\Hasher;
use Illuminate\Http\Request;

/** Signs people in and out. */
final class SignIn
{
    private const TRIES = 5;
    private const WINDOW = 60;

    public function __construct(private readonly Factory $auth, private readonly Hasher $hasher, private readonly RateLimiter $limiter)
    {
    }

    /** @throws Problem after five wrong tries for a minute, by name and address */
    public function withPassword(Request $request, string $email, string $password): User
    {
        $key = 'sign-in:' . hash('sha256', mb_strtolower($email) . '|' . $request->ip());
        if ($this->limiter->tooManyAttempts($key, self::TRIES)) {
            throw Problem::tooOften($this->limiter->availableIn($key));
        }
        $person = User::query()->where('email', mb_strtolower($email))->first();
        // A name that does not exist takes as long as a wrong password.
        $right = $this->hasher->check($password, $person->password ?? '$2y$12$NmFxMmd5b2pXb1hTbWx0Z.TQk6r7hQv0Yc3cVnA8m3C4o2zqGQH1i');
        if ($person === null || ! $right) {
            $this->limiter->hit($key, self::WINDOW);
            throw Problem::wrongSignIn();
        }
        $this->limiter->clear($key);

        return $this->enter($request, $person);
    }

    /** One press, only while the demo is loaded. */
    public function toDemo(Request $request, string $name): User
    {
        foreach ($this->demoPeople() as $person) {
            if ($person->name === $name) {
                return $this->enter($request, $person);
            }
        }
        throw Problem::notFound();
    }

    /** @return list<User> */
    public function demoPeople(): array
    {
        $demo = Company::query()->where('is_demo', true)->value('id');

        return $demo === null ? [] : array_values(User::query()->where('company_id', $demo)->orderBy('id')->get()->all());
    }

    public function out(Request $request): void
    {
        $this->guard()->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();
    }

    private function enter(Request $request, User $person): User
    {
        $this->guard()->login($person);
        $request->session()->regenerate();

        return $person;
    }

    private function guard(): StatefulGuard
    {
        $guard = $this->auth->guard('web');

        return $guard instanceof StatefulGuard ? $guard : throw new \LogicException('The guard keeps no session.');
    }
}
