# frozen_string_literal: true

module Store
  # Makes something of each of several, the next one while something is done with the last: what waits for the database meanwhile
  # makes what it is to write next.
  module Ahead
    READY = 2
    private_constant :READY

    module_function

    # @param all [Enumerator] that knows its size
    # @param making [#call] makes something of one
    # @yieldparam made [Object] in order
    def each(all, making)
      return all.each { |one| yield making.call(one) } if all.size < 2

      ready = SizedQueue.new(READY)
      maker = started(all, making, ready)
      while (made = ready.pop)
        yield made
      end
      maker.value
    ensure
      maker&.kill
    end

    # What fails there is raised here when all before it was taken.
    def started(all, making, ready)
      Thread.new do
        Thread.current.report_on_exception = false
        all.each { |one| ready << making.call(one) }
      ensure
        ready.close
      end
    end
    private_class_method :started
  end
end
