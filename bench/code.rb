# frozen_string_literal: true

require "rack/test"

# The source of two large gems read, taken in, checked and laid out on one sheet; and a class of two hundred features edited row by row.
class CodeBench
  GEMS = %w[activerecord activesupport].freeze
  FEATURES = 200
  EDITS = 40
  WARM = 15
  TIMES = 3
  SHEET = "00000000-0000-4000-8000-000000000001"

  # @yieldparam name [String]
  # @yieldparam size [Integer]
  # @yieldparam samples [Array<Float>] ms
  def initialize(&report)
    @report = report
  end

  def run
    edits
    files = sources
    @report.call("code: read", files.length, *Array.new(TIMES) { timed { @found = Basalt::Software::Reverse::RubySource.read(files) } })
    @report.call("code: taken in", @found.all.length, timed { @set = taken })
    @report.call("code: checked", @set.of_kind("class").length, timed { Basalt::Checks::Runner.new(@set).findings })
    @report.call("code: laid out on one sheet", @set.of_kind("class").length, timed { laid_out })
  end

  private

  def sources
    folders = GEMS.map { |name| Gem.loaded_specs[name]&.full_gem_path || Gem::Specification.find_by_name(name).full_gem_path }
    folders.flat_map { |folder| Dir["#{folder}/lib/**/*.rb"] }.to_h { |path| [path, File.binread(path).force_encoding("UTF-8")] }
  end

  def taken
    empty = Basalt::Model::WorkingSet.new
    Basalt::Model::WorkingSet.new.advance(Basalt::Software::Reverse::Intake.new(@found, empty).into(Basalt::Change::Draft.new(empty)).effect)
  end

  def laid_out
    draft = Basalt::Change::Draft.new(@set)
    draft.apply(Basalt::Change::AddSheet.new(name: "All", notation: "classes", id: SHEET))
    draft.of_kind("class", "package").each { |one| draft.apply(Basalt::Change::Show.new(sheet_id: SHEET, element_id: one.id)) }
    Basalt::Drawing::Arranger.new(draft, SHEET).tidy
  end

  # As the page does it: a row as a line of text, answered with the pieces of the drawing and the register.
  def edits
    project = Store::Project.open("Bench class")
    session = Store::ProjectSession.for(project.id)
    session.open { |open| open.act(said: "began", by: "bench") { |draft| Basalt::Statements::Document.new(text).into(draft) } }
    sheet, owner, parts = session.open { |open| [open.set.sheet_list.first, open.set.named("Large").first, open.set.of_kind("property")] }
    browser = Rack::Test::Session.new(Web::Application.with(secret: "0" * 64))
    path = "/projects/#{project.id}/sheets/#{sheet.id}"
    token = browser.get(path).body[/name="token" value="([^"]+)"/, 1]
    WARM.times { |n| edit(browser, path, token, owner, parts[n], n) }
    samples = Array.new(EDITS) { |n| timed { edit(browser, path, token, owner, parts[n + WARM], n + WARM) } }
    @report.call("class: a feature edited", FEATURES, *samples)
  end

  def edit(browser, path, token, owner, part, number)
    values = { text: "+renamed#{number}: Map<String, Integer> [0..1] = #{number} {readOnly}", token:, selected: owner.id, kind: "property" }
    browser.post("#{path}/part/#{part.id}", values, "HTTP_HX_REQUEST" => "true")
    abort(browser.last_response.body) unless browser.last_response.ok?
  end

  def text
    features = (1..FEATURES).map { |n| "+feature#{n}: Integer [0..1] = #{n}" }.each_slice(20).map { |list| "Large has #{list.join(", ")}" }
    others = (1..20).flat_map { |n| ["class Other#{n}", "Large is linked to 0..* Other#{n} as others#{n}"] }
    ["project Class", "sheet S: classes", "class Large", *features, *others].join("\n")
  end

  def timed
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    yield
    (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start) * 1000
  end
end
