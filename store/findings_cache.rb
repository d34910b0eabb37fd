# frozen_string_literal: true

module Store
  # The findings of a project by check, at the version at which they were worked out, and which kinds were touched since:
  # only the checks that read those run again. They run on a pinned set, one run at a time, while others go on acting.
  class FindingsCache
    def initialize
      @running = Mutex.new
      @guard = Mutex.new
      @touched = {}
    end

    # @param version [Integer] that an act led to
    # @param touched [Basalt::Checks::Touched]
    def touch(version, touched) = @guard.synchronize { @touched[version] = touched }

    # @param set [Basalt::Model::PinnedSet]
    # @return [Basalt::Checks::FindingsByWaiver] of that version
    def at(set)
      @running.synchronize do
        version, by_check = known
        work_out(set, version, by_check) if version != set.version && (version.nil? || version < set.version)
        Basalt::Checks::FindingsByWaiver.new(set, last)
      end
    end

    # @return [Array<Basalt::Checks::Finding>, nil] what was found when it was last worked out, errors first
    def last = @guard.synchronize { @sorted }

    private

    def known = @guard.synchronize { [@version, @by_check] }

    def work_out(set, version, by_check)
      stale =
        by_check &&
        @guard
          .synchronize { @touched.select { |at, _| at > version && at <= set.version } }
          .values
          .reduce(Basalt::Checks::Touched.new, :+)
      Basalt::Checks::Runner
        .new(set, known: by_check || {})
        .by_check(stale)
        .tap do |found|
          @guard.synchronize do
            @version = set.version
            @by_check = found
            @sorted = Basalt::Checks::Runner.sorted(found)
            @touched.delete_if { |at, _| at <= set.version }
          end
        end
    end
  end
end
