# frozen_string_literal: true

require "json"
require "openssl"
require "time"
require_relative "account"

module Standins
  module Cloud
    # Plays the read-only interface of a provider, as a Rack application: an account in pages, to whoever signs requests with the secret
    # of the key. It is throttled now and then, and fails now and then, as the real ones do.
    class Server
      COLLECTIONS = %w[boundaries resources groups lists tables connections].freeze
      KEY = "tarnwater-reader"
      SECRET = "a secret for trying only"
      PAGE = 25
      # How far the clocks of both sides may be apart, seconds.
      SKEW = 300

      # @param document [Hash] the inventory that it gives out
      # @param throttle [Integer, nil] every so manyth request is told to wait
      # @param failing [Integer, nil] every so manyth request fails
      # @param broken_after [Integer, nil] after so many requests it answers nonsense
      # @param page [Integer] entries on a page
      def initialize(document = Account.of(60).document, key: KEY, secret: SECRET, throttle: 9, failing: 13, broken_after: nil, page: PAGE)
        @document = document
        @key = key
        @secret = secret
        @throttle = throttle
        @failing = failing
        @broken_after = broken_after
        @page = page
        @count = 0
        @lock = Mutex.new
      end

      # @return [Integer] requests so far
      attr_reader :count

      def call(env)
        number = @lock.synchronize { @count += 1 }
        return answer(401, error: "the signature does not fit") unless signed?(env)
        return answer(429, { "retry-after" => "0.05" }, error: "too many requests") if @throttle && (number % @throttle).zero?
        return answer(503, error: "try again") if @failing && (number % @failing).zero?
        return [200, { "content-type" => "text/html" }, ["<p>maintenance</p>"]] if @broken_after && number > @broken_after

        serve(env)
      end

      # @return [String] what a request is signed with
      def self.signature(secret, target, time) = OpenSSL::HMAC.hexdigest("SHA256", secret, "GET\n#{target}\n#{time}")

      private

      def signed?(env)
        time = env["HTTP_X_TIME"].to_s
        return false unless env["HTTP_X_KEY"] == @key && (Time.now - Time.iso8601(time)).abs < SKEW

        query = env["QUERY_STRING"].to_s
        target = "#{env["PATH_INFO"]}#{"?#{query}" unless query.empty?}"
        OpenSSL.secure_compare(Server.signature(@secret, target, time), env["HTTP_X_SIGNATURE"].to_s)
      rescue ArgumentError
        false
      end

      def serve(env)
        return answer(405, error: "this is for reading") unless env["REQUEST_METHOD"] == "GET"

        name = env["PATH_INFO"].delete_prefix("/")
        return answer(200, **@document.fetch("account").transform_keys(&:to_sym)) if name == "account"
        return answer(404, error: "nothing of that name") unless COLLECTIONS.include?(name)

        page(@document.fetch(name, []), env["QUERY_STRING"].to_s[/\bafter=(\d+)/, 1].to_i)
      end

      def page(all, from)
        items = all[from, @page] || []
        answer(200, items:, total: all.length, after: (from + @page if from + @page < all.length))
      end

      def answer(status, headers = {}, **body) = [status, { "content-type" => "application/json", **headers }, [JSON.generate(body)]]
    end
  end
end
