# frozen_string_literal: true

module Web
  # How a request is turned away before the application sees it: beside what caused it, or as a page of its own.
  module Rejection
    TYPE = { "content-type" => "text/html;charset=utf-8" }.freeze
    PAGE = <<~HTML
      <!doctype html><html lang="en"><head><meta charset="utf-8"><title>Basalt</title><link rel="stylesheet" href="/app.css"></head>
      <body><main class="page narrow"><h1>This could not be done</h1><p class="refusal" role="alert">%s</p>
      <p><a href="/">To the projects</a></p></main></body></html>
    HTML
    PART = "<hx-partial hx-target=\"#answer\" hx-swap=\"innerHTML\"><p class=\"refusal\" role=\"alert\">%s</p></hx-partial>"
    private_constant :TYPE, :PAGE, :PART

    # @param words [String] as they are, not yet escaped
    # @return [Array] a Rack response
    def self.of(env, status, words, headers = {})
      shape = env["HTTP_HX_REQUEST"] ? PART : PAGE
      [status, TYPE.merge(headers), [format(shape, Basalt::Drawing::SVG.escape(words))]]
    end
  end
end
