# frozen_string_literal: true

# Acts on a project by chance, as one of several processes does them. Run as a program it does one for each line that it
# reads, and answers with the version that the project has then; it stops when the project is read whole a second time.
class RandomActs
  ACTS = %i[
    add attach rename move remove undo redo tidy open_sheet take_off let_stand name_project emphasise hide_label group leave note
  ].freeze

  def initialize(project_id, seed, name)
    @project_id = project_id
    @random = Random.new(seed)
    @name = name
    @made = 0
  end

  # @return [Integer] the version after it
  def act
    public_send(ACTS.sample(random: @random))
  rescue Basalt::Mistake
    nil
  ensure
    return Store::ProjectSession.for(@project_id).open { |view| view.set.version } # rubocop:disable Lint/EnsureReturn
  end

  def add = say { "server #{@name}-#{@made += 1}" }
  def attach = say { |set| "#{thing(set).name} on #{set.of_kind("subnet").sample(random: @random).name}" }
  def rename = say { |set| "rename #{thing(set).name} to #{@name}-renamed-#{@made += 1}" }
  def undo = open { |view| view.undo(by: @name, sheet_id: view.set.sheet_list.first.id) }
  def redo = open { |view| view.redo(by: @name, sheet_id: view.set.sheet_list.first.id) }
  def tidy = open { |view| view.act(said: "tidied", by: @name, sheet_id: view.set.sheet_list.first.id, tidy: true) { nil } }
  def remove = change { |set, _| Basalt::Change::Remove.new(id: thing(set).id) }
  def take_off = change { |set, sheet| Basalt::Change::TakeOff.new(sheet_id: sheet.id, element_id: thing(set).id) }
  def note = say { |set| "note on #{thing(set).name}: seen by #{@name} #{@made += 1}" }
  def group = say { |set| "group #{@name}-group\n#{thing(set).name} belongs to #{@name}-group" }
  def leave = change { |set, _| set.of_kind("membership").sample(1, random: @random).map { |one| Basalt::Change::Remove.new(id: one.id) } }

  def emphasise = change { |set, sheet|
    Basalt::Change::Emphasise.new(sheet_id: sheet.id, element_id: thing(set).id, name: ["phase 2", nil].sample(random: @random))
  }

  # Of a line as of its emphasis, what is hidden is kept in one and the same value of its placement.
  def hide_label = change { |set, sheet|
    drawn = set.of_kind("attachment", "link").select { |one| set.placement(sheet.id, one.id) }
    drawn.sample(1, random: @random).map { |line|
      Basalt::Change::HideLabel.new(sheet_id: sheet.id, element_id: line.id, on: @random.rand(2).zero?)
    }
  }

  def name_project = Store::Project.find(@project_id).rename("#{@name} #{@made += 1}")

  def open_sheet
    change do |set, sheet|
      [
        Basalt::Change::AddSheet.new(name: "#{@name} #{@made += 1}", notation: sheet.notation_name, id: id = SecureRandom.uuid),
        Basalt::Change::Show.new(sheet_id: id, element_id: thing(set).id)
      ]
    end
  end

  def move
    change do |set, sheet|
      placement = set.placement(sheet.id, thing(set).id)
      Basalt::Change::Arrange.new(
        placement_id: placement.id,
        to: {
          x: placement.x + @random.rand(-80..80),
          y: placement.y + @random.rand(-80..80),
          by_hand: true
        }
      )
    end
  end

  def let_stand
    open do |view|
      finding = view.findings.sample(random: @random) or next
      waiver =
        Basalt::Change::Waive.new(
          finding: finding.key,
          state: finding.state(view.set),
          reason: "known",
          said_by: @name,
          at: "2026-01-01T00:00:00Z"
        )
      view.act(said: "let stand", by: @name, sheet_id: view.set.sheet_list.first.id) { |draft| draft.apply(waiver) }
    end
  end

  private

  def open(&) = Store::ProjectSession.for(@project_id).open(&)
  def thing(set) = set.things_on(set.sheet_list.first.id).select { |thing| thing.kind == "device" }.sample(random: @random)

  def change
    open do |view|
      sheet = view.set.sheet_list.first
      view.act(said: "by chance", by: @name, sheet_id: sheet.id) { |draft| draft.apply(*Array(yield(draft, sheet))) }
    end
  end

  def say
    open do |view|
      sheet = view.set.sheet_list.first
      view.act(said: "said", by: @name, sheet_id: sheet.id) do |draft|
        Basalt::Statements::Document.new(yield(draft)).into(draft, sheet_id: sheet.id)
      end
    end
  end
end

if $PROGRAM_NAME == __FILE__
  require_relative "../../config/load"
  Store::Database.connect(ENV.fetch("DATABASE_URL"))
  acts = RandomActs.new(ARGV[0], ARGV[1].to_i, "other")
  reads = 0
  Store::Snapshot.singleton_class.prepend(Module.new { define_method(:read) { |id| (reads += 1) > 1 ? exit!(1) : super(id) } })
  $stdout.sync = true
  $stdin.each_line { puts acts.act }
end
