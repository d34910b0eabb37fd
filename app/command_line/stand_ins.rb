# frozen_string_literal: true

require "stringio"

module CommandLine
  # Small servers on loopback that play what is outside, as long as the application runs with its sample.
  class StandIns
    # @param port [Integer] of the first; those that are taken are passed over
    def initialize(port)
      @port = port
      @servers = []
    end

    # @return [Array<String>] what there is to know of each
    def begin = Web::Extensions.gather(:stand_ins).filter_map { |one| serve(one) }

    def end = @servers.each { |server| server.stop(true) }

    private

    def serve(one)
      require "puma"
      server = Puma::Server.new(one.app, nil, min_threads: 0, max_threads: 2, log_writer: Puma::LogWriter.new(StringIO.new, StringIO.new))
      server.add_tcp_listener("127.0.0.1", @port += 1)
      server.run(true, thread_name: "stand-in")
      @servers << server
      url = "http://127.0.0.1:#{@port}"
      ENV[one.variable] = url
      one.words(url)
    rescue Errno::EADDRINUSE, Errno::EACCES
      @port > 65_000 || @servers.length > 20 || (@tries = @tries.to_i + 1) > 20 ? nil : retry
    end
  end
end
