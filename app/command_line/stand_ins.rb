# frozen_string_literal: true

require "stringio"

module CommandLine
  # Small servers on loopback, and databases, that play what is outside as long as the application runs with its sample.
  class StandIns
    # How many ports that are taken are passed over.
    TRIES = 20

    # @param port [Integer] of the first; those that are taken are passed over
    def initialize(port)
      @port = port
      @servers = []
      @tries = 0
    end

    # @return [Array<String>] what there is to know of each
    def begin = Web::Extensions.gather(:stand_ins).filter_map { |one| one.respond_to?(:begin) ? one.begin : serve(one) }

    def end = @servers.each { |server| server.stop(true) }

    private

    def serve(one)
      require "puma"
      server = Puma::Server.new(one.app, nil, min_threads: 0, max_threads: 2, log_writer: Puma::LogWriter.new(StringIO.new, StringIO.new))
      listening = server.add_tcp_listener("127.0.0.1", @port += 1).addr[1]
      server.run(true, thread_name: "stand-in")
      @servers << server
      url = "http://127.0.0.1:#{listening}"
      ENV[one.variable] = url
      one.words(url)
    rescue SystemCallError, SocketError
      # Taken, or beyond the last port there is: the application does without where none is free near by.
      (@tries += 1) < TRIES ? retry : nil
    end
  end
end
