# frozen_string_literal: true

require "sinatra/base"
require "rack/protection"

module Web
  # The pages: projects, sheets and what is done on them. No route edits a record; every
  # change goes through the project's session.
  class Application < Sinatra::Base
    set :root, File.join(APPLICATION_ROOT, "app/web")
    set :views, File.join(APPLICATION_ROOT, "app/web/views")
    set :public_folder, File.join(APPLICATION_ROOT, "app/public")
    set :static_cache_control, [:public, { max_age: 3600 }]
    set :show_exceptions, false
    set :raise_errors, false
    set :logging, false
    # What was not foreseen is told below, in one line and its place.
    set :dump_errors, false
    # Templates are compiled once, whatever the environment is called.
    set :reload_templates, false
    set :erb, escape_html: true
    set :host_authorization, { permitted_hosts: ["localhost", "127.0.0.1", "[::1]", ".localhost", "example.org"] }
    set :sessions, same_site: :lax, httponly: true

    POLICY =
      "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; font-src 'self'; connect-src 'self'; " \
      "form-action 'self'; base-uri 'none'; frame-ancestors 'none'"

    # @param secret [String] for the sessions' cookies
    # @return [#call] the application behind its guard
    def self.with(secret:)
      RequestGuard.new(RateLimits.before(Class.new(self) { set :session_secret, secret }), POLICY)
    end

    use Rack::Protection::AuthenticityToken, authenticity_param: "token"
    helpers Escaping, Paths, Lookup, Acting, Formatting, Partials, Rendering

    before { headers "Content-Security-Policy" => POLICY, "Referrer-Policy" => "same-origin", "X-Content-Type-Options" => "nosniff" }

    # Whoever may not do what a route needs is told so, whichever it is.
    def self.serve(route)
      public_send(route.verb.downcase, route.path) do
        halt refuse("You may look at this and not alter it.", 403) unless may?(route.needs)
        instance_exec(&route.handler)
      end
    end

    RouteTable.modules.each { |routes| register routes }

    # Templates are the application's own, and those of the families.
    def find_template(_views, name, engine, &)
      [settings.views, *Extensions.views].each { |folder| super(folder, name, engine, &) }
    end

    error(Basalt::Mistake) { refuse(env["sinatra.error"].message, env["sinatra.error"].is_a?(Basalt::Change::Conflict) ? 409 : 422) }
    error(Sinatra::BadRequest) { refuse("This request cannot be read.", 400) }
    error(ActiveRecord::RecordNotFound) { refuse("There is nothing at this address.", 404) }
    error(ActiveRecord::ConnectionNotEstablished, ActiveRecord::ConnectionFailed) do
      refuse("The database cannot be reached at the moment. Nothing was changed; try again.", 503)
    end
    error do
      warn "#{request.request_method} #{request.path}: #{env["sinatra.error"].full_message(highlight: false)}"
      failed("Something went wrong here. Nothing was changed.")
    end
    not_found { refuse("There is nothing at this address.", 404) }
  end
end
