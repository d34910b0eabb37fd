# frozen_string_literal: true

module Web
  # For modules of routes: each states its routes as data, with the block that answers them, and is registered with
  # the application as a whole. A block runs in the application, is given what it needs by its helpers and answers with what it made.
  module Routing
    # @return [Array<Route>]
    def routes = @routes ||= []

    def get(path, **about, &) = route("GET", path, **about, &)
    def post(path, **about, &) = route("POST", path, **about, &)

    # @param names [Array<Symbol>] of modules within this one whose methods the blocks use
    def helped_by(*names) = (@helpers ||= []).concat(names)

    def registered(app)
      app.helpers(*@helpers.map { |name| const_get(name) }) if @helpers
      routes.each { |route| app.serve(route) }
    end

    private

    def route(verb, path, needs:, answers:, makes: nil, &handler)
      routes << Route.new(verb:, path:, needs:, makes:, answers:, handler:)
    end
  end
end
