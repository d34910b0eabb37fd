# frozen_string_literal: true

module Store
  # A project as one process works on it: the working set at its version, the findings, and
  # what stands where on the sheets. One act at a time.
  class ProjectSession
    # What an act came to: the effect, and the elements whose drawing it may have altered.
    Outcome = Basalt::Value.of(:effect, :affected, :said, :version)

    class << self
      # @return [ProjectSession] the process's own for that project
      def for(project_id)
        LOCK.synchronize do
          DESKS.delete(project_id).then { |desk| DESKS[project_id] = desk || new(project_id) }.tap { let_go(project_id) }
        end
      end

      # As many projects are held as are small enough together; the one that was not opened for longest goes first.
      def let_go(except)
        while DESKS.length > 1 && (DESKS.length > MOST || DESKS.values.sum(&:size) > MOST_ELEMENTS)
          oldest = DESKS.each_key.find { |id| id != except }
          DESKS.delete(oldest)
        end
      end

      # The project is not there any more.
      def leave(project_id) = LOCK.synchronize { DESKS.delete(project_id) }

      def clear = LOCK.synchronize { DESKS.clear }
    end

    LOCK = Mutex.new
    DESKS = {}
    MOST = 20
    # Elements and placements of all projects that are held, about 4 kB each.
    MOST_ELEMENTS = 250_000
    MOST_GHOSTS = 60
    MOST_TRIES = 5
    private_constant :LOCK, :DESKS

    def initialize(project_id)
      @project_id = project_id
      @monitor = Monitor.new
      @spatial_indexes = {}
      @contents = {}
      @history = {}
    end

    attr_reader :project_id

    # Work on the project as it stands now.
    #
    # @param request [Request, nil] what a page asked for, kept with the first act that comes of it
    # @yieldparam desk [ProjectSession]
    # @raise [ActiveRecord::RecordNotFound]
    def open(request: nil)
      @monitor.synchronize do
        refresh
        @request = request
        yield self
      ensure
        @request = nil
      end
    end

    attr_reader :set

    # @return [Integer] how much is held, in elements and placements
    def size = @set ? @set.elements.size + @set.placements.size : 0

    # Keeps what an answer has to tell besides the drawing, for when it is asked for again.
    #
    # @param answer [Hash] of plain values
    def keep_answer(answer)
      @request&.answer = answer
    end

    # @return [Array<Basalt::Checks::Finding>] those that nobody waived
    def findings = findings_by_waiver.open

    # @return [Basalt::Checks::FindingsByWaiver] all findings, the waived ones apart
    def findings_by_waiver
      @stale = nil if @by_check.nil?
      @by_check = Basalt::Checks::Runner.new(set, known: @by_check || {}).by_check(@by_check && (@stale || [])) if @by_check.nil? || @stale
      @findings_by_waiver = nil if @stale
      @stale = nil
      @findings_by_waiver ||= Basalt::Checks::FindingsByWaiver.new(set, Basalt::Checks::Runner.sorted(@by_check))
    end

    # @return [Array<Basalt::Checks::Finding>] as they were when they were last worked out
    def known_findings = (@findings_by_waiver || findings_by_waiver).open

    # @return [Basalt::Drawing::SheetStatistics]
    def contents(sheet_id) = @contents[sheet_id] ||= Basalt::Drawing::SheetStatistics.new(set, sheet_id)

    # @param images [#call, nil] gives an image's address by its id
    # @return [Basalt::Drawing::Scene] with what errors are about marked
    def scene(sheet_id, images: nil)
      Basalt::Drawing::Scene.new(set, sheet_id, findings: known_findings, contents: contents(sheet_id), images:)
    end

    # @return [Array<Basalt::Checks::Finding>] about what is drawn on the sheet
    def findings_on(sheet_id, list = findings)
      list.select { |finding| Basalt::Checks::Runner.about?(set, finding, sheet_id) }
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
    # @return [Outcome]
    # @raise [Basalt::Mistake] and nothing is kept
    def act(said:, by:, sheet_id: nil, tidy: false, by_hand: false, patient: false)
      on_newest(alone: !patient) do
        draft = Basalt::Change::Draft.new(set)
        yield draft
        arrange(draft, sheet_id, tidy, by_hand)
        finish(draft, draft.effect, said: said.respond_to?(:call) ? said.call : said, by:, sheet_id:, patient:)
      end
    end

    # What was worked out is thrown away; the next opening reads the project afresh.
    def forget
      @set = nil
    end

    # What a draft that is not kept would bring to the sheet.
    #
    # @return [Array<Basalt::Drawing::Item>]
    def preview(draft, sheet_id)
      Basalt::Drawing::Arranger.new(draft, sheet_id, spatial_index: spatial_index(draft, sheet_id)).follow(grow: false)
      fresh = draft.placements.differences.filter_map { |_, before, after| after if before.nil? || (after && before.route != after.route) }
      scene = Basalt::Drawing::Scene.new(draft, sheet_id, contents: contents(sheet_id))
      fresh.select { |placement| placement.sheet_id == sheet_id }.first(MOST_GHOSTS).flat_map { |placement| scene.items_of(placement) }
    ensure
      @spatial_indexes[sheet_id]&.renew(set, Basalt::Drawing::Affected.by(draft))
    end

    # @return [Outcome, nil] nil when there is nothing to undo
    def undo(by:, sheet_id: nil)
      on_newest do
        entry = JournalEntry.to_undo(project_id, sheet_id)
        entry && turn(entry, entry.effect.inverse, "undo", by)
      end
    end

    # @return [Outcome, nil]
    def redo(by:, sheet_id: nil)
      on_newest do
        entry = JournalEntry.to_redo(project_id, sheet_id)
        entry && turn(entry, Basalt::Change::Revert.new(deltas: entry.effect.deltas), "redo", by)
      end
    end

    # @return [Array(String, String)] what undo and redo would be of, in words; nil where there is nothing
    def history(sheet_id)
      @history[sheet_id] ||= [JournalEntry.to_undo(project_id, sheet_id), JournalEntry.to_redo(project_id, sheet_id)].map { |entry| entry&.said }
    end

    private

    def refresh
      version = Project.version(project_id)
      return if @set && @set.version == version

      @set = Snapshot.read(project_id)
      @spatial_indexes = {}
      @contents = {}
      @history = {}
      @by_check = nil
      @findings_by_waiver = nil
    end

    # Every other sheet on which something of it shows follows.
    def arrange(draft, sheet_id, tidy, by_hand)
      tidy(draft, sheet_id, tidy, by_hand) if tidy
      (touched_sheets(draft) - (tidy ? [sheet_id] : [])).each { |id| Basalt::Drawing::Arranger.new(draft, id, spatial_index: spatial_index(draft, id)).follow }
    end

    def tidy(draft, sheet_id, what, by_hand)
      arranger = Basalt::Drawing::Arranger.new(draft, sheet_id)
      what == :complete ? arranger.complete : arranger.tidy(only: what == true ? nil : what, by_hand:)
      @spatial_indexes.delete(sheet_id)
    end

    def spatial_index(draft, id) = @spatial_indexes[id] ||= Basalt::Drawing::SpatialIndex.new(draft.base.sheets[id] ? set : draft, id)

    def touched_sheets(draft)
      ids = draft.elements.differences.flat_map { |_, before, after| Basalt::Drawing::Affected.of_difference(draft, before, after) }
      shown = ids.flat_map { |id| draft.sheets_of(id) }
      moved = draft.placements.differences.map { |_, before, after| (after || before).sheet_id }
      (shown + moved).uniq.select { |id| draft.sheets[id] }
    end

    # Kinds of what was altered, and of what came to a sheet or went from it; sheets count as a kind.
    def touched_kinds(draft, effect)
      placed = effect.on(:placements).select { |delta| delta.before.nil? || delta.after.nil? }.filter_map { |delta| draft.element((delta.after || delta.before).element_id)&.kind }
      effect.kinds | placed | (effect.on(:sheets).any? ? ["sheet"] : [])
    end

    def turn(entry, change, act, by)
      draft = Basalt::Change::Draft.new(set).apply(change)
      altered = Basalt::Drawing::Affected.by(draft)
      @spatial_indexes.each { |id, spatial_index| draft.sheets[id] ? spatial_index.renew(draft, altered) : @spatial_indexes.delete(id) }
      finish(draft, draft.effect, said: entry.said, by:, sheet_id: entry.sheet_id, act:, of: entry.number)
    end

    # An act is meant for what stands now: of several processes one at a time tries its own, and should
    # another have been quicker after all, it is tried again on what that one left.
    def on_newest(alone: true, &act)
      return Project.alone(project_id) { refresh.then { again(&act) } } if alone

      again(&act)
    rescue StandardError
      @spatial_indexes.clear
      raise
    end

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

    def finish(draft, effect, said:, by:, sheet_id:, act: "act", of: nil, patient: false)
      return Outcome.new(effect:, affected: [], said:, version: set.version) if effect.empty?

      affected = Basalt::Drawing::Affected.by(draft)
      version = Repository.new(project_id, said_by: by).commit(effect, said:, sheet_id:, act:, of:, from: patient ? nil : set.version, request: @request)
      @request&.kept = true
      @request = nil
      follow(effect, affected, version, draft:, said:, sheet_id:, act:)
      Outcome.new(effect:, affected:, said:, version:)
    end

    # What is held follows what was kept; what cannot is read afresh.
    def follow(effect, affected, version, draft:, said:, sheet_id:, act:)
      # Somebody else's act came between: the next opening reads everything afresh.
      return forget if version != set.version + 1

      set.advance(effect, version:)
      act == "act" ? @history[sheet_id] = [said, nil] : @history.delete(sheet_id)
      @stale = (@stale || []) | touched_kinds(draft, effect)
      @findings_by_waiver = nil if effect.on(:waivers).any?
      @contents.each { |id, contents| set.sheets[id] ? contents.renew(set, affected) : @contents.delete(id) }
    rescue StandardError
      forget
      raise
    end
  end
end
