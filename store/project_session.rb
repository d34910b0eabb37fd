# frozen_string_literal: true

module Store
  # A project as one process works on it: the working set at its version, the findings, and
  # what stands where on the sheets. One act at a time; what only reads looks at a version that was pinned (ProjectView).
  class ProjectSession
    # What an act came to: the effect, and the elements whose drawing it may have altered. +grown+ tells of a sheet that nobody
    # arranged that it may be better laid out afresh (see #grow).
    Outcome = Basalt::Value.of(:effect, :affected, :said, :version, :grown)

    class << self
      # @return [ProjectSession] the process's own for that project
      def for(project_id)
        LOCK.synchronize do
          HELD.delete(project_id).then { |session| HELD[project_id] = session || new(project_id) }.tap { let_go(project_id) }
        end
      end

      # As many projects are held as are small enough together; the one that was not opened for longest goes first.
      def let_go(except)
        while HELD.length > 1 && HELD.values.sum(&:size) > MOST_ELEMENTS
          oldest = HELD.each_key.find { |id| id != except }
          HELD.delete(oldest)
        end
      end

      # The project is not there any more.
      def leave(project_id) = LOCK.synchronize { HELD.delete(project_id) }

      def clear = LOCK.synchronize { HELD.clear }
    end

    LOCK = Mutex.new
    HELD = {}
    # Elements and placements of all projects that are held, about 4 kB each.
    MOST_ELEMENTS = 250_000
    MOST_GHOSTS = 60
    # Sheets of which it is kept what stands where, some MB for a large one.
    MOST_READY = 24
    MOST_TRIES = 5
    # Seconds.
    MOMENT = 0.25
    # Seconds after another process's act in which its next is reckoned with.
    COMPANY = 10
    private_constant :LOCK, :HELD

    def initialize(project_id)
      @project_id = project_id
      @turn = Turn.new
      @shelf = Mutex.new
      @spatial_indexes = {}
      @contents = {}
      @history = {}
      @drawn_at = {}
      @findings = FindingsCache.new
    end

    # +findings+ is a FindingsCache.
    attr_reader :project_id, :findings

    # Work on the project as it stands now.
    #
    # @param request [Request, nil] what a page asked for, kept with the first act that comes of it
    # @yieldparam view [ProjectView]
    # @raise [ActiveRecord::RecordNotFound]
    def open(request: nil)
      view = ProjectView.new(self, newest, request)
      yield view
    ensure
      view&.release
    end

    # Whoever only looks does not wait for a long act: what stood before it is what stands. Nor does anybody look again
    # whether it is the newest when somebody else, acting or looking, has found that out meanwhile.
    #
    # @return [Basalt::Model::PinnedSet] the newest version, or the one before an act that takes longer than a moment
    def newest
      since = clock
      until @turn.try
        return pin if @set && (newest_at > since || clock > since + MOMENT)

        sleep(0.002)
      end
      begin
        refresh unless @set && newest_at > since
        pin
      ensure
        @turn.leave
      end
    end

    # While the block runs nobody else of this process acts on the project.
    def taking_turn(request)
      @turn.take do
        @request = request
        yield
      ensure
        @request = nil
      end
    end

    # @return [Basalt::Model::PinnedSet] the newest version
    def pin = @set.pin

    # @return [Integer] how much is held, in elements and placements
    def size = @set ? @set.elements.size + @set.placements.size : 0

    # @param set [Basalt::Model::PinnedSet]
    # @return [Basalt::Drawing::SheetStatistics] of that version
    def contents(set, sheet_id)
      known = @shelf.synchronize { @contents[sheet_id].dup if @set&.version == set.version }
      return known if known

      fresh = Basalt::Drawing::SheetStatistics.new(set, sheet_id).settle
      @shelf.synchronize { @contents[sheet_id] ||= fresh.dup if @set&.version == set.version }
      fresh
    end

    # @return [Integer] the version since which what a sheet shows is as it is
    def drawn_at(sheet_id) = @shelf.synchronize { @drawn_at.fetch(sheet_id, @read_at) }

    # @return [Array(String, String)] what undo and redo would be of, in words; nil where there is nothing
    def history(sheet_id)
      known = @shelf.synchronize { @history[sheet_id] } and return known
      version = @set&.version
      found = [JournalEntry.to_undo(project_id, sheet_id), JournalEntry.to_redo(project_id, sheet_id)].map { |entry| entry&.said }
      @shelf.synchronize { @history[sheet_id] = found if @set&.version == version }
      found
    end

    # Tries changes, arranges every sheet they show on, and keeps them.
    #
    # @param said [String, #call] the act in words; called when the draft is made
    # @param tidy [Boolean, Array<String>, Symbol] lay the sheet, or these things on it, out afresh instead of
    #   following; +:complete+ only places what has no place
    # @yieldparam draft [Basalt::Change::Draft]
    # @param by_hand [Boolean] whether a person asked for that, and it stays so
    # @param patient [Boolean] whether it takes so long that it is not tried again when somebody else's act
    #   came first, but compared with that fact by fact
    # @param along [#call, nil] what else is kept in the same transaction
    # @param grow [Boolean, Symbol] whether sheets that nobody arranged are laid out afresh where they are better then (see
    #   Basalt::Drawing::Arranger#follow)
    # @return [Outcome]
    # @raise [Basalt::Mistake] and nothing is kept
    def act(said:, by:, sheet_id: nil, tidy: false, by_hand: false, patient: false, along: nil, grow: true)
      attempt =
        lambda do
          draft = Basalt::Change::Draft.new(set)
          yield draft
          Basalt::Families.settle(draft)
          changed = Basalt::Drawing::Affected.changed(draft)
          arrange(draft, changed, sheet_id, tidy:, by_hand:, grow:)
          grown = grow == :at_once && Basalt::Drawing::Growth.new(draft, sheet_id).later?
          finish(draft, said: said.respond_to?(:call) ? said.call : said, by:, changed:, sheet_id:, patient:, along:, grown:)
        end
      patient ? on_newest(alone: false, &attempt) : undisturbed(&attempt)
    end

    # Works out what the first act on a sheet needs, unless somebody acts now: whoever opens a sheet is about to act on it.
    def make_ready(sheet_id)
      return unless @turn.try

      begin
        next_to_act(sheet_id) if set && set.sheets[sheet_id]
      ensure
        @turn.leave
      end
    end

    # What was worked out is thrown away; the next opening reads the project afresh.
    def forget
      @set = nil
    end

    # What a draft over what stands now would bring to a sheet; nothing when somebody acts or acted meanwhile, since
    # whoever types does not wait.
    #
    # @param contents [Basalt::Drawing::SheetStatistics]
    # @return [Array<Basalt::Drawing::Item>]
    def preview(draft, sheet_id, contents)
      keys = placed(draft, sheet_id).first(MOST_GHOSTS)
      return [] if keys.empty?

      scene = Basalt::Drawing::Scene.new(draft, sheet_id, contents:)
      keys.filter_map { |key| scene.set.placement(sheet_id, key) }.flat_map { |placement| scene.items_of(placement) }
    end

    # @return [Outcome, nil] nil when there is nothing to undo
    def undo(by:, sheet_id: nil)
      on_newest do
        entry = JournalEntry.to_undo(project_id, sheet_id)
        entry && turn(entry, entry.whole.reverse.map { |one| one.effect.inverse }, "undo", by)
      end
    end

    # @return [Outcome, nil]
    def redo(by:, sheet_id: nil)
      on_newest do
        entry = JournalEntry.to_redo(project_id, sheet_id)
        entry && turn(entry, entry.whole.map { |one| Basalt::Change::Revert.new(deltas: one.effect.deltas) }, "redo", by)
      end
    end

    # Keeps how a sheet that has grown was laid out afresh. That belongs to the act before it on the sheet, and is undone with it.
    #
    # @param draft [Basalt::Change::Draft] over a version; nothing is kept where that is not the newest any more
    # @return [Outcome, nil]
    def grow(draft, sheet_id, by:)
      return unless draft.version == set.version && newest?

      last = history(sheet_id)[1].nil? && JournalEntry.to_undo(project_id, sheet_id) or return
      renew_spatial_indexes(draft, Basalt::Drawing::Affected.by(draft))
      finish(draft, said: last.said, by:, sheet_id:, act: "growth", of: last.number)
    rescue StandardError
      @spatial_indexes.clear
      raise
    end

    private

    attr_reader :set

    # What was made ready longest ago is let go of, and worked out again should it be needed.
    def next_to_act(sheet_id)
      @spatial_indexes[sheet_id] = @spatial_indexes.delete(sheet_id) || Basalt::Drawing::SpatialIndex.new(set, sheet_id)
      @spatial_indexes.shift while @spatial_indexes.length > MOST_READY
    end

    # Finds places in a draft that is not kept, while nobody acts.
    #
    # @return [Array<String>] keys of what is new or stands elsewhere
    def placed(draft, sheet_id)
      return [] unless @turn.try

      begin
        @set && draft.version == @set.version ? followed(draft, sheet_id) : []
      ensure
        @turn.leave
      end
    end

    def followed(draft, sheet_id)
      Basalt::Drawing::Arranger.new(draft, sheet_id, spatial_index: spatial_index(draft, sheet_id)).follow(grow: false)
      fresh =
        draft.placements.differences.filter_map do |_, before, after|
          after.key if after&.sheet_id == sheet_id && (before.nil? || before.route != after.route)
        end
      fresh | ruled(draft, sheet_id)
    ensure
      @spatial_indexes[sheet_id]&.renew(@set, Basalt::Drawing::Affected.by(draft))
    end

    # What would stand elsewhere where the notation has a place for everything.
    def ruled(draft, sheet_id)
      return [] unless draft.sheets[sheet_id].notation.ruled?

      came = Basalt::Drawing::RuledSheet.places(draft, sheet_id).keys - Basalt::Drawing::RuledSheet.places(draft.base, sheet_id).keys
      altered = draft.elements.differences.flat_map { |_, _, after| after ? after.targets : [] }
      came | altered.select { |id| draft.shown?(sheet_id, id) }
    end

    def clock = Process.clock_gettime(Process::CLOCK_MONOTONIC)

    # @return [Float] by the clock, when what is held was known to be the newest
    def newest_at = @newest_at || 0.0

    # Somebody else's acts, of this process or another, are followed one by one.
    def refresh
      asked = clock
      follow_others
      @newest_at = asked
    end

    def follow_others
      return read_afresh unless @set

      tail = JournalTail.new(project_id, @set.version)
      return if tail.newest?

      @others_at = clock
      return read_afresh if tail.too_long?

      tail.entries.each { |entry| catch_up(entry.effect, entry.number) }
      @set.advance(Basalt::Change::Effect.new(deltas: [], project: tail.name), version: tail.version)
    rescue Basalt::Mistake, KeyError, NoMethodError => e
      unless e.is_a?(Basalt::Change::Conflict)
        warn "#{project_id} is read whole, since an entry could not be followed: #{e.message.lines.first}"
      end
      read_afresh
    end

    def read_afresh
      @set = Snapshot.read(project_id)
      @read_at = @set.version
      @drawn_at = {}
      @spatial_indexes = {}
      @contents = {}
      @history = {}
      @findings = FindingsCache.new
    end

    # What an entry did is done to what is held: member by member, as it was written.
    def catch_up(effect, version)
      draft = Basalt::Change::Draft.new(@set).apply(Basalt::Change::Revert.new(deltas: effect.deltas))
      affected = Basalt::Drawing::Affected.by(draft)
      renew_spatial_indexes(draft, affected)
      @shelf.synchronize { @history.clear }
      follow(draft.effect, affected, version, draft)
    end

    def renew_spatial_indexes(draft, affected)
      @spatial_indexes.each { |id, spatial_index| draft.sheets[id] ? spatial_index.renew(draft, affected) : @spatial_indexes.delete(id) }
    end

    # Every other sheet on which something of it shows follows.
    #
    # @param grow [Boolean, Symbol] of the sheet that is acted on: nobody would ask for it on the others
    def arrange(draft, changed, sheet_id, tidy:, by_hand:, grow:)
      tidy(draft, sheet_id, tidy, by_hand) if tidy
      (touched_sheets(draft, changed) - (tidy ? [sheet_id] : [])).each do |id|
        Basalt::Drawing::Arranger.new(draft, id, spatial_index: spatial_index(draft, id)).follow(grow: id == sheet_id ? grow : true)
      end
    end

    def tidy(draft, sheet_id, what, by_hand)
      arranger = Basalt::Drawing::Arranger.new(draft, sheet_id)
      what == :complete ? arranger.complete : arranger.tidy(only: what == true ? nil : what, by_hand:)
      @spatial_indexes.delete(sheet_id)
    end

    def spatial_index(draft, id) = @spatial_indexes[id] ||= Basalt::Drawing::SpatialIndex.new(draft.base.sheets[id] ? set : draft, id)

    def touched_sheets(draft, changed)
      shown = changed.flat_map { |id| draft.sheets_of(id) }
      moved = draft.placements.differences.map { |_, before, after| (after || before).sheet_id }
      gathering = draft.elements.differences.any? ? draft.sheets_with(:gathers?).map(&:id) : []
      (shown + moved + gathering).uniq.select { |id| draft.sheets[id] }
    end

    # What came to a sheet or went from it counts as touched; sheets count as a kind, and what opens into them.
    def touched(draft, effect)
      placed =
        effect
          .on(:placements)
          .select { |delta| delta.before.nil? || delta.after.nil? }
          .filter_map { |delta| draft.element((delta.after || delta.before).element_id)&.kind }
      tables = { sheets: "sheet", links: "opening" }.filter_map { |table, kind| kind if effect.on(table).any? }
      Basalt::Checks::Touched.by(effect, kinds: placed | tables)
    end

    # @return [Array<String>] ids of the sheets on which something looks otherwise after an act
    def shown_on(effect, affected)
      placed = effect.on(:placements).flat_map { |delta| [delta.before, delta.after].compact.map(&:sheet_id) }
      (effect.on(:sheets).map(&:id) + placed + affected.flat_map { |id| set.sheets_of(id) }).uniq
    end

    def turn(entry, changes, act, by)
      draft = Basalt::Change::Draft.new(set).apply(*changes)
      renew_spatial_indexes(draft, Basalt::Drawing::Affected.by(draft))
      finish(draft, said: entry.said, by:, sheet_id: entry.sheet_id, act:, of: entry.number)
    end

    # An act is meant for what stands now: of several processes one at a time tries its own, and should
    # another have been quicker after all, it is tried again on what that one left.
    def on_newest(alone: true, &act)
      return again(&act) unless alone

      Project.alone(project_id) { refresh.then { again(&act) } }
    rescue StandardError
      @spatial_indexes.clear
      raise
    end

    # While no other process acts nobody has to be kept waiting, nor to be asked first: keeping an act tells whether it was
    # meant for the newest. Where nothing came to be kept, that is looked at before it is believed.
    def undisturbed(&act)
      return on_newest(&act) if in_company?

      begin
        outcome = act.call
        return outcome if !outcome.effect.empty? || newest?
      rescue StandardError => e
        @spatial_indexes.clear
        @others_at = clock if e.is_a?(Repository::Stale)
        raise if @set.nil? || (newest? && !in_company?)
      end
      on_newest(&act)
    end

    def in_company? = @set.nil? || clock < (@others_at || -COMPANY) + COMPANY
    def newest? = Project.version(project_id) == @set.version

    def again
      tries = 0
      begin
        yield
      rescue Repository::Stale
        raise if (tries += 1) > MOST_TRIES

        refresh
        retry
      end
    end

    def finish(draft, said:, by:, sheet_id:, changed: nil, act: "act", of: nil, patient: false, along: nil, grown: false)
      effect = draft.effect
      return Outcome.new(effect:, affected: [], said:, version: set.version) if effect.empty?

      affected = Basalt::Drawing::Affected.by(draft, *changed && [changed])
      began = clock
      version =
        Repository.new(project_id, said_by: by).commit(
          effect,
          said:,
          sheet_id:,
          act:,
          of:,
          from: patient ? nil : set.version,
          request: @request,
          &along
        )
      @request&.kept = true
      @request = nil
      keep_in_step(effect, affected, version, draft)
      @newest_at = began
      @shelf.synchronize { act == "act" ? @history[sheet_id] = [said[0, 500], nil] : @history.delete(sheet_id) }
      Outcome.new(effect:, affected:, said:, version:, grown:)
    end

    # What is held follows what was kept; what cannot is read afresh.
    def keep_in_step(effect, affected, version, draft)
      version == set.version + 1 ? follow(effect, affected, version, draft) : refresh
    rescue StandardError
      forget
      raise
    end

    # What is kept beside the set becomes that of the new version together with it.
    def follow(effect, affected, version, draft)
      @findings.touch(version, touched(draft, effect))
      @shelf.synchronize do
        set.advance(effect, version:)
        shown_on(effect, affected).each { |id| @drawn_at[id] = version }
        @contents.each { |id, contents| set.sheets[id] ? contents.renew(set, affected) : @contents.delete(id) }
      end
    end
  end
end
