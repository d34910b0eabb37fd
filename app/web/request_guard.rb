# frozen_string_literal: true

require "rack"

module Web
  # Stands before the application: a body that is too large is refused before it is read, and what
  # a request says is read once, by type, so that no route meets anything else: words are texts in
  # UTF-8, +LISTS+ are lists of words, +FILES+ are files that were uploaded.
  class RequestGuard
    LISTS = %w[steps things_of chosen_pairs make features row_cells].freeze
    FILES = %w[file schema].freeze
    # Bytes of a body; documents of whole projects may be larger.
    LIMIT = 30_000_000
    DOCUMENT = 210_000_000
    DOCUMENTS = "/projects/documents"
    # Scripts of databases bring their data along.
    SCRIPT = 55_000_000
    SCRIPTS = %r{/(?:schemas|migrations)\z}
    # Seconds between the times a page is asked for while the database cannot be reached.
    WAITS = [0, 0.25, 0.5, 0.75, 1, 1.5].freeze
    # A name or a value that is no word.
    class Unreadable < StandardError
    end

    MALFORMED = [
      Unreadable,
      EOFError,
      ArgumentError,
      EncodingError,
      Rack::QueryParser::ParameterTypeError,
      Rack::QueryParser::InvalidParameterError,
      Rack::QueryParser::QueryLimitError,
      Rack::Multipart::MultipartPartLimitError,
      Rack::Multipart::BoundaryTooLongError
    ].freeze
    private_constant :MALFORMED, :WAITS

    # @param policy [String] the content-security policy of whatever is answered
    def initialize(app, policy)
      @app = app
      @policy = policy
    end

    def call(env)
      status, headers, body = guarded(env)
      headers["content-security-policy"] ||= @policy
      headers["x-content-type-options"] ||= "nosniff"
      [status, headers, body]
    end

    private

    def guarded(env)
      if env["CONTENT_LENGTH"].to_i > limit(env)
        return Rejection.of(env, 413, "This is larger than #{limit(env) / 1_000_000} MB and was not read.")
      end

      check(env)
      patiently(env)
    rescue *MALFORMED => e
      raise if env["basalt.checked"]

      Rejection.of(env, 400, "This request cannot be read#{": #{e.message}" if e.is_a?(Unreadable)}.")
    end

    # The database's server may just be started again: whoever only looks waits for it.
    def patiently(env)
      waits = env["REQUEST_METHOD"] == "GET" ? WAITS.dup : []
      loop do
        answer = @app.call(env)
        return answer unless answer.first == 503 && waits.any?

        sleep waits.shift
      end
    ensure
      # A connection that is handed back is looked at before it is used again.
      ActiveRecord::Base.connection_handler.clear_active_connections!
    end

    def limit(env)
      return DOCUMENT if env["PATH_INFO"] == DOCUMENTS

      env["PATH_INFO"].to_s.match?(SCRIPTS) ? SCRIPT : LIMIT
    end

    def check(env)
      text?(Rack::Utils.unescape_path(env["PATH_INFO"].to_s)) or raise Unreadable, "its address is no text"
      request = Rack::Request.new(env)
      [request.GET, request.POST].each { |params| params.each { |name, value| check_value(name, value) } }
      env["basalt.checked"] = true
    end

    def check_value(name, value)
      raise Unreadable, "a name in it is no text" unless text?(name)
      raise Unreadable, "#{name} is not what belongs there" unless fine?(name, value)
    end

    def fine?(name, value)
      return value.is_a?(Array) && value.all? { |one| text?(one) } if LISTS.include?(name)
      return file?(value) || value.to_s.empty? if FILES.include?(name)

      value.nil? || text?(value)
    end

    def text?(value) =
      value.is_a?(String) && value.dup.force_encoding("UTF-8").then { |text| text.valid_encoding? && !text.include?("\0") }

    def file?(value) = value.is_a?(Hash) && value[:tempfile].respond_to?(:path) && value[:filename].is_a?(String)
  end
end
