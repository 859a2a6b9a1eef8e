<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Routing\Router;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/**
 * A guest is shown no button that would be refused: forms and buttons whose route is a keeper's are marked, and the
 * style
 * sheet hides them. The routes are asked, so that nobody has to remember it in a page.
 */
final readonly class HideWhatKeeps
{
    public function __construct(private Router $router)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $guest = $request->user() !== null && ! $request->user()->isKeeper();
        $html =
            $guest && str_starts_with((string) $response->headers->get('Content-Type'), 'text/html')
                ? $response->getContent()
                : false;
        if (is_string($html)) {
            $response->setContent($this->marked($html));
        }

        return $response;
    }

    private function marked(string $html): string
    {
        $forms = [];
        $html = (string) preg_replace_callback(
            '~<form\b[^>]*>~',
            function (array $match) use (&$forms): string {
                if (! str_contains($match[0], 'method="post"') || ! $this->keeps($match[0], 'action')) {
                    return $match[0];
                }
                if (preg_match('~\sid="([\w-]+)"~', $match[0], $id) === 1) {
                    $forms[] = $id[1];
                }

                return substr($match[0], 0, -1).' data-keeps>';
            },
            $html,
        );

        return (string) preg_replace_callback(
            '~<(?:button|input)\b[^>]*>~',
            function (array $match) use ($forms): string {
                $form = preg_match('~\sform="([\w-]+)"~', $match[0], $id) === 1 ? $id[1] : '';

                return in_array($form, $forms, true) || $this->keeps($match[0], 'formaction')
                    ? (string) preg_replace('~\s*/?>$~', ' data-keeps>', $match[0])
                    : $match[0];
            },
            $html,
        );
    }

    /** The address that this tag sends to is one that only a keeper may send to. */
    private function keeps(string $tag, string $attribute): bool
    {
        if (preg_match("~\s{$attribute}=\"([^\"]*)\"~", $tag, $match) !== 1) {
            return false;
        }
        foreach (['POST', 'DELETE'] as $method) {
            try {
                $route = $this->router->getRoutes()->match(Request::create(html_entity_decode($match[1]), $method));
            } catch (Throwable) {
                continue;
            }

            return in_array('keeper', $route->gatherMiddleware(), true);
        }

        return false;
    }
}
