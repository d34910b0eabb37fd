# frozen_string_literal: true

require "active_support/cache"
require "rack/attack"

module Web
  # How often one client may ask for what takes the server long, so that nobody else waits for it: far more often than anybody
  # works, and seldom enough that a script that runs wild does no harm. An act that comes too soon is kept by the page and
  # sent again.
  module RateLimits
    # Requests of one client in so many seconds.
    PERIOD = 60
    MOST = { "files taken in" => 120, "files made" => 240, "requests" => 12_000 }.freeze
    MADE = %r{/(export\.\w+|schema\.sql|project\.json|proof)\z}

    # @return [#call] the application behind the limits
    def self.before(app)
      Rack::Attack.cache.store ||= ActiveSupport::Cache::MemoryStore.new
      limit("files taken in") { |request| request.media_type == "multipart/form-data" }
      limit("files made") { |request| request.path.match?(MADE) }
      limit("requests") { true }
      Rack::Attack.throttled_responder = method(:refuse)
      Rack::Attack.new(app)
    end

    def self.limit(what)
      Rack::Attack.throttle(what, limit: MOST.fetch(what), period: PERIOD) { |request| request.ip if yield request }
    end

    def self.refuse(request)
      about = request.env["rack.attack.match_data"]
      wait = about[:period] - (about[:epoch_time] % about[:period])
      words =
        "There were more than #{about[:limit]} #{request.env["rack.attack.matched"]} within a minute. " \
        "Try again in #{Basalt::English.count(wait, "second")}."
      Rejection.of(request.env, 429, words, { "retry-after" => wait.to_s })
    end
    private_class_method :limit, :refuse
  end
end
