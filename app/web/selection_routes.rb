# frozen_string_literal: true

module Web
  # What is done to all that is selected.
  module SelectionRoutes
    extend Routing

    SHEET = EditRoutes::SHEET

    get "#{SHEET}/chosen", needs: :see, answers: :part do
      with_project { |project| chosen_facts(project, sheet(project), Acting.chosen(project.set, params)) }
    end

    post "#{SHEET}/pinned", needs: :edit, answers: :pieces, makes: "Arrange" do
      pinned = params[:pinned] == "yes"
      on_sheet(->(draft, ids) { "#{pinned ? "pinned" : "released"} #{Acting.titles(draft, ids)}" }) do |draft, sheet|
        keys = Acting.chosen_there(draft, sheet, params)
        keys
          .filter_map { |key| draft.placement(sheet.id, key) }
          .each { |placed| draft.apply(Basalt::Change::Arrange.new(placement_id: placed.id, to: { pinned: })) }
        Acting.chosen(draft, params)
      end
    end

    post "#{SHEET}/emphasised", needs: :edit, answers: :pieces, makes: "Emphasise" do
      on_sheet(
        ->(draft, ids) { "#{params[:emphasis].to_s.strip.empty? ? "took the emphasis from" : "emphasised"} #{Acting.titles(draft, ids)}" }
      ) do |draft, sheet|
        Acting
          .chosen_there(draft, sheet, params)
          .each { |key| draft.apply(Basalt::Change::Emphasise.new(sheet_id: sheet.id, element_id: key, name: params[:emphasis])) }
        Acting.chosen(draft, params)
      end
    end

    post "#{SHEET}/view", needs: :edit, answers: :pieces, makes: "SetView" do
      with_project do |project|
        on = params[:on] == "yes"
        words = "#{Showing.words(params[:part], on)} #{params[:part]} on #{sheet(project).name}"
        acted =
          act_on(project, words, tidy: Showing.tidy(project.set, sheet(project).id, params[:part])) do |draft, sheet|
            draft.apply(Basalt::Change::SetView.new(sheet_id: sheet.id, part: params[:part].to_s, on:))
          end
        answer(project, acted, fresh: true) + part("#facts", sheet_facts(project, sheet(project)))
      end
    end

    post "#{SHEET}/variant", needs: :edit, answers: :pieces, makes: "SetVariant" do
      with_project do |project|
        sheet = sheet(project)
        variant = params[:variant].to_s.then { |words| words.empty? ? nil : words }
        known = Basalt::Change::SetVariant.known?(project.set, sheet.id, variant)
        words = "drew #{sheet.name} with #{sheet.notation.variants.fetch(variant, "its usual symbols")}"
        acted =
          act_on(project, words, tidy: known ? :complete : true) do |draft, on|
            draft.apply(Basalt::Change::SetVariant.new(sheet_id: on.id, variant:))
          end
        answer(project, acted, fresh: true) + part("#facts", sheet_facts(project, sheet(project)))
      end
    end

    post "#{SHEET}/labels-hidden", needs: :edit, answers: :pieces, makes: "HideLabel" do
      on = params[:on] == "yes"
      on_sheet(->(draft, ids) { "#{on ? "hid" : "brought back"} the label of #{Acting.titles(draft, ids)}" }) do |draft, sheet|
        ids = (params[:all] ? Presenters::HiddenHere.unlabelled_lines(draft, sheet) : Acting.chosen(draft, params)).select { |id| draft.element(id).relation? }
        raise Basalt::Mistake, "Select the lines whose labels are meant" if ids.empty?

        ids.each { |id| draft.apply(Basalt::Change::HideLabel.new(sheet_id: sheet.id, element_id: id, on:)) }
      end
    end

    post "#{SHEET}/collapsed", needs: :edit, answers: :pieces, makes: "Collapse" do
      closed = params[:closed] == "yes"
      on_sheet(->(draft, ids) { "#{closed ? "collapsed" : "opened"} #{Acting.titles(draft, ids)}" }) do |draft, sheet|
        ids = Acting.chosen(draft, params)
        ids.each { |id| draft.apply(Basalt::Change::Collapse.new(sheet_id: sheet.id, element_id: id, closed:)) }
      end
    end

    # The lines of a bundle one by one, or as one again.
    post "#{SHEET}/bundles", needs: :edit, answers: :pieces, makes: "OpenBundle" do
      open = params[:open] == "yes"
      on_sheet(->(draft, ids) { "drew the bundle of #{Acting.titles(draft, ids)} #{open ? "line by line" : "as one"}" }) do |draft, sheet|
        Acting.chosen(draft, params).each do |id|
          draft.apply(Basalt::Change::OpenBundle.new(sheet_id: sheet.id, element_id: id, open:))
        end
      end
    end

    post "#{SHEET}/taken-off", needs: :edit, answers: :pieces, makes: "TakeOffOnce" do
      on_sheet(->(draft, ids) { "took #{Acting.titles(draft, ids)} off the sheet" }) do |draft, sheet|
        ids = Acting.chosen(draft, params).reject { |id| draft.element(id).relation? }
        raise Basalt::Mistake, "A line goes off the sheet with what it joins; delete it, or hide its label" if ids.empty?

        keys = Acting.chosen_there(draft, sheet, params).reject { |key| draft.element_at(key).relation? }
        keys
          .sort_by { |key| draft.element(key) ? 1 : 0 }
          .each { |key| draft.apply(Basalt::Change::TakeOffOnce.new(sheet_id: sheet.id, key:)) }
        ids
      end
    end

    post "#{SHEET}/shown-again", needs: :edit, answers: :pieces, makes: "ShowAgain" do
      on_sheet(->(draft, made) { "showed #{draft.element_at(made.ids.first).name} once more" }) do |draft, sheet|
        id = Acting.new_id(draft, params[:id])
        chosen = Acting.chosen(draft, params)
        raise Basalt::Mistake, "Select one thing that is to stand here once more" unless chosen.one?

        draft.apply(Basalt::Change::ShowAgain.new(sheet_id: sheet.id, element_id: chosen.first, id:))
        Fresh.new(nil, [id])
      end
    end

    post "#{SHEET}/removed", needs: :edit, answers: :pieces, makes: "Remove" do
      with_project do |project|
        ids = Acting.chosen(project.set, params)
        others = ids.flat_map { |id| project.set.sheets_of(id) }.uniq - [sheet(project).id]
        title = Acting.titles(project.set, ids)
        if others.any? && params[:sure].nil?
          names = others.map { |other| project.set.sheets[other].name }
          next part("#answer", view(:offer_removal, sheet: sheet(project), title:, chosen: ids.join(" "), others: names))
        end

        perform(project, "deleted #{title}") do |draft, _|
          ids.each { |id| draft.apply(Basalt::Change::Remove.new(id:)) if draft.element(id) }
        end
      end
    end

    post "#{SHEET}/duplicated", needs: :edit, answers: :pieces, makes: "Duplicate" do
      on_sheet(->(draft, ids) { "duplicated #{Acting.titles(draft, ids.of)}" }) do |draft, sheet|
        ids = Acting.chosen(draft, params)
        Fresh.new(ids, Copying.duplicate(draft, ids, sheet, sheet))
      end
    end

    # What was copied on a sheet comes as the same elements or as new ones; on another sheet
    # it is asked which.
    post "#{SHEET}/pasted", needs: :edit, answers: :pieces, makes: "Duplicate, ShowAs" do
      with_project do |project|
        from = project.set.sheets[id(params[:from])] or raise Basalt::Refusals::Gone, "The sheet it was copied from"
        if params[:as].nil? && from.id != sheet(project).id
          ids = Acting.chosen(project.set, params)
          title = Acting.titles(project.set, ids)
          next part("#answer", view(:offer_paste, sheet: sheet(project), from:, title:, chosen: ids.join(" ")))
        end

        perform(project, ->(draft, ids) { "pasted #{Acting.titles(draft, ids.of)}" }) do |draft, on|
          ids = Acting.chosen(draft, params)
          Fresh.new(ids, params[:as] == "same" ? Copying.show(draft, ids, from, on) : Copying.duplicate(draft, ids, from, on))
        end
      end
    end

    # What of a sheet is shown, or not.
    module Showing
      PICTURES = "pictures"
      # What is left out unless somebody asks for it.
      ASKED_FOR = [PICTURES, "numbers"].freeze

      module_function

      def words(part, chosen)
        return chosen ? "showed" : "left out" if ASKED_FOR.include?(part)

        chosen ? "hid" : "brought back"
      end

      # Symbols with pictures are larger: a sheet that nobody arranged is laid out afresh.
      def tidy(set, sheet_id, part)
        return false unless part == PICTURES

        set.placements_on(sheet_id).any? { |placed| placed.by_hand || placed.pinned } ? :complete : true
      end
    end

    # Copies of what is selected.
    module Copying
      STEP = 28

      class << self
        # @return [Array<String>] ids of what is new
        def duplicate(draft, ids, from, to)
          dx, dy = shift(draft, ids, from, to)
          change = Basalt::Change::Duplicate.new(ids:, from: from.id, to: to.id, dx:, dy:)
          draft.apply(change)
          change.made.values_at(*ids).compact
        end

        def show(draft, ids, from, to)
          dx, dy = shift(draft, ids, from, to)
          draft.apply(Basalt::Change::ShowAs.new(ids:, from: from.id, to: to.id, dx:, dy:))
          ids
        end

        private

        # As far to the right or down as it takes to stand free.
        def shift(draft, ids, from, to)
          around = Basalt::Layout::Box.around(ids.filter_map { |id| draft.placement(from.id, id)&.box }) or return STEP, STEP
          ground = Basalt::Drawing::SpatialIndex.new(draft, to.id)
          steps = (1..30).flat_map { |n| [[0, n * STEP], [n * STEP, 0]] }
          steps.unshift([0, 0]) unless from.id == to.id
          steps.find { |dx, dy| ground.free?(Basalt::Layout::Box.new(x: around.x + dx, y: around.y + dy, w: around.w, h: around.h)) } ||
            [STEP, STEP]
        end
      end
    end
  end
end
