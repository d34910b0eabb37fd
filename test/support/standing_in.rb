# frozen_string_literal: true

require "puma"
require "stringio"
require_relative "../../standins/cloud/server"

# A provider on a port of its own for as long as a block runs.
module StandingIn
  # @param about [Hash] what Standins::Cloud::Server is told
  # @yieldparam url [String]
  # @yieldparam server [Standins::Cloud::Server]
  def standing_in(document = Standins::Cloud::Account.new.document, **about)
    server = Standins::Cloud::Server.new(document, **about)
    quiet = Puma::LogWriter.new(StringIO.new, StringIO.new)
    puma = Puma::Server.new(server, nil, min_threads: 0, max_threads: 4, log_writer: quiet)
    port = puma.add_tcp_listener("127.0.0.1", 0).addr[1]
    puma.run
    ENV["BASALT_STANDIN_URL"] = url = "http://127.0.0.1:#{port}"
    yield url, server
  ensure
    ENV.delete("BASALT_STANDIN_URL")
    puma&.stop(true)
  end
end
