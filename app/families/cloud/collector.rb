# frozen_string_literal: true

require "json"
require "net/http"
require "openssl"
require "time"
require "uri"

module Web
  module Families
    module Cloud
      # Reads an account at a provider, page by page, and makes an inventory of it. It needs nothing but Ruby, so that whoever has the
      # key can read it first and run it elsewhere. The secret signs requests and is kept nowhere else.
      #
      # Every request is a GET of +account+ or of one of the COLLECTIONS, with +X-Key+, +X-Time+ (ISO 8601) and +X-Signature+: the HMAC
      # (RFC 2104) with SHA-256, in hexadecimal, of +GET+, the path with its query, and the time, each on a line of its own.
      class Collector
        # What could not be read, and why.
        class Failed < StandardError; end
        Answer = Struct.new(:code, :retry_after, :body)

        COLLECTIONS = %w[boundaries resources groups lists tables connections].freeze
        # What the key has to be allowed, and no more.
        RIGHTS = ["account: read", *COLLECTIONS.map { |name| "#{name}: read" }].freeze
        MOST_PAGES = 20_000
        MOST_BYTES = 20_000_000
        TRIES = 6
        SECONDS = 20

        # @param endpoint [String] address of the interface
        # @param key [String]
        # @param secret [String]
        # @param pause [#call] waits so many seconds
        def initialize(endpoint, key, secret, pause: method(:sleep))
          @endpoint = URI.parse(endpoint.to_s)
          raise URI::InvalidURIError unless @endpoint.is_a?(URI::HTTP) && @endpoint.host

          @key = key
          @secret = secret
          @pause = pause
        rescue URI::InvalidURIError
          raise Failed, "An endpoint is an address such as http://127.0.0.1:7474, not “#{endpoint.to_s[0, 80]}”"
        end

        # Nothing that is printed of it tells the secret.
        def inspect = "#<#{self.class.name} #{@endpoint}>"

        # @yieldparam done [Integer] entries so far
        # @yieldparam total [Integer] entries that are known of
        # @return [Hash] an inventory
        # @raise [Failed]
        def inventory(&progress)
          @done = 0
          @totals = {}
          account = ask("account")
          raise Failed, "The endpoint does not say which account it is of" unless account["id"].is_a?(String)

          lists = COLLECTIONS.to_h { |name| [name, collection(name, &progress)] }
          { "format" => "cloud inventory", "version" => 1, "account" => account.slice("id", "name"), "taken" => Time.now.utc.iso8601,
            **lists }
        end

        private

        def collection(name)
          found = []
          after = nil
          MOST_PAGES.times do
            page = ask(after ? "#{name}?after=#{URI.encode_www_form_component(after.to_s)}" : name)
            raise Failed, "The endpoint answered #{name} with something that is no list" unless page["items"].is_a?(Array)

            found.concat(page["items"])
            @totals[name] = page["total"].to_i
            yield (@done += page["items"].length), [@totals.values.sum, @done].max if block_given?
            return found if (after = page["after"]).nil?
          end
          raise Failed, "The endpoint gives #{name} without end"
        end

        # @return [Hash]
        def ask(target)
          TRIES.times do |attempt|
            response = request(target)
            case response.code
            when 200 then return parsed(target, response.body)
            when 401 then raise Failed, "The endpoint does not take the key, or the secret is not that of the key"
            when 403 then raise Failed, "The key may not read #{target[/\A\w+/]}: it needs #{RIGHTS.join(", ")}"
            when 429, 500..599 then @pause.call(wait(response, attempt))
            else raise Failed, "The endpoint answered #{target[/\A\w+/]} with #{response.code}"
            end
          end
          raise Failed, "The endpoint failed #{TRIES} times when asked for #{target[/\A\w+/]}. Nothing was taken."
        end

        # As long as the endpoint says, or twice as long as before.
        def wait(response, attempt) = [response.retry_after&.to_f || (0.1 * (2**attempt)), 30].min

        def request(target)
          uri = URI.join("#{@endpoint.to_s.chomp("/")}/", target)
          time = Time.now.utc.iso8601
          get = Net::HTTP::Get.new(uri)
          get["X-Key"] = @key
          get["X-Time"] = time
          get["X-Signature"] = OpenSSL::HMAC.hexdigest("SHA256", @secret, "GET\n#{uri.request_uri}\n#{time}")
          Net::HTTP.start(uri.host, uri.port, use_ssl: uri.scheme == "https", open_timeout: SECONDS, read_timeout: SECONDS) { |http| limited(http, get) }
        rescue SystemCallError, SocketError, IOError, Timeout::Error, OpenSSL::SSL::SSLError, Net::HTTPBadResponse, Net::ProtocolError => e
          raise Failed, "The endpoint cannot be reached: #{e.class.name.split("::").last}"
        end

        # An answer without end is not read to its end.
        def limited(http, get)
          http.request(get) do |response|
            body = +""
            response.read_body do |part|
              body << part
              raise Failed, "The endpoint answers with more than #{MOST_BYTES / 1_000_000} MB at once" if body.bytesize > MOST_BYTES
            end
            return Answer.new(response.code.to_i, response["retry-after"], body)
          end
        end

        def parsed(target, body)
          found = JSON.parse(body, max_nesting: 12)
          return found if found.is_a?(Hash)

          raise Failed, "The endpoint answered #{target[/\A\w+/]} with something that is no object"
        rescue JSON::ParserError
          raise Failed, "The endpoint answered #{target[/\A\w+/]} with something that is no JSON"
        end
      end
    end
  end
end
