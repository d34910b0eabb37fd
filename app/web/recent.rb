# frozen_string_literal: true

module Web
  # A few results by what they are of; the one that was not asked for longest goes first.
  class Recent
    # @param most [Integer] how many are kept
    def initialize(most)
      @most = most
      @kept = {}
      @lock = Mutex.new
    end

    # @yieldreturn [Object] the result, where it is not kept
    def fetch(key)
      @lock.synchronize { return @kept[key] = @kept.delete(key) if @kept.key?(key) }
      made = yield
      @lock.synchronize do
        @kept[key] = made
        @kept.shift while @kept.length > @most
      end
      made
    end

    # @return [Object, nil]
    def known(key) = @lock.synchronize { @kept[key] }

    def clear = @lock.synchronize { @kept.clear }
  end
end
