# frozen_string_literal: true

require_relative "../support/app_helper"
require "open3"
require "tmpdir"
require "json"

# The commands on files, as a person runs them.
class CommandLineTest < Minitest::Test
  BASALT = File.join(APPLICATION_ROOT, "bin/basalt")
  DEMO = File.join(APPLICATION_ROOT, "demo/tarnwater.basalt")

  def setup
    @folder = Dir.mktmpdir("basalt-files")
  end

  def teardown
    FileUtils.rm_rf(@folder)
  end

  def basalt(*arguments) = Open3.capture3(BASALT, *arguments)
  def file(name, content = nil) = File.join(@folder, name).tap { |path| File.binwrite(path, content) if content }

  def test_check_tells_findings_and_exits_by_the_worst
    out, _, status = basalt("check", DEMO, "--json")
    assert_equal 1, status.exitstatus
    first = JSON.parse(out)["findings"].find { |one| one["sheet"] == "Greyholm plant network" }
    assert_equal %w[id severity sheet subjects message why repair], first.keys
    assert_equal ["address-used-twice", "error", "Greyholm plant network", "Give plc-08 .32"],
                 first.values_at("id", "severity", "sheet", "repair")
    assert_includes first["subjects"], "plc-08"
    _, _, status = basalt("check", file("fine.basalt", "sheet S: logical network\nserver a"))
    assert_equal 0, status.exitstatus
  end

  def test_what_a_person_let_stand_in_a_document_does_not_count
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new, ids: -> { SecureRandom.uuid })
    Basalt::Statements::Document.new(
      "project P\nsheet S: logical network\nsubnet Plant 10.1.0.0/24\nserver a\nserver b\na on Plant at .1\nb on Plant at .1"
    ).into(draft)
    finding = Basalt::Checks::Runner.new(draft).findings.find { |found| found.id == "address-used-twice" }
    draft.apply(
      Basalt::Change::Waive.new(
        finding: finding.key,
        state: finding.state(draft),
        reason: "a pair",
        said_by: "analyst",
        at: "2026-11-20T10:00:00Z"
      )
    )
    out, _, status =
      basalt(
        "check",
        file("waived.json", Basalt::Formats::ProjectDocument.write(Basalt::Model::WorkingSet.new.advance(draft.effect))),
        "--json"
      )
    assert_equal 0, status.exitstatus
    refute_includes JSON.parse(out)["findings"].map { |found| found["id"] }, "address-used-twice"
    assert_equal([["address-used-twice", "a pair"]], JSON.parse(out)["let_stand"].map { |found| found.values_at("id", "reason") })
  end

  def test_files_that_cannot_be_read_exit_with_two_and_say_where
    {
      file("bad.basalt", "sheet S: logical network\nserver a\na onto b") => /line 3.*“onto”|line 3/,
      file("none.basalt") => /no file/,
      @folder => /folder/,
      file("binary.basalt", "a\0b") => /binary/
    }.each do |path, message|
      out, err, status = basalt("check", path)
      assert_equal [2, ""], [status.exitstatus, out]
      assert_match message, err
      refute_match(/\.rb:\d+/, err)
    end
  end

  def test_the_reading_gives_the_same_reading
    out, = basalt("read", DEMO)
    again, = basalt("read", file("again.basalt", out))
    assert_equal out, again
  end

  # Large files are told by their size before anything reads them; what is said beside them is nobody's business by then.
  def test_an_option_that_is_none_does_nothing_to_a_large_file
    large = file("large.basalt", "# nothing\n" * 20_000)
    _, err, status = basalt("check", large, "-delete")
    assert_equal [2, true], [status.exitstatus, err.include?("invalid option: -delete")]
    assert File.exist?(large)
    assert_equal 0, basalt("check", large)[2].exitstatus
  end

  def test_schedules_are_printed_as_columns_and_as_csv
    out, _, status = basalt("schedule", DEMO, "--thing", "acc-04")
    assert_equal [0, 3], [status.exitstatus, out.lines.length]
    assert_match(/\Afrom +from port .* state$/, out.lines.first)
    assert_match(/^acc-04 +up2 .* core-01 +1\/up8 /, out)
    csv, = basalt("schedule", DEMO, "--csv")
    assert_equal csv.lines.length - 1, basalt("schedule", DEMO)[0].lines.length - 1
    assert_equal "There are no cables.\n", basalt("schedule", file("none.basalt", "server a"))[0]
    _, err, status = basalt("schedule", DEMO, "--thing", "core-1")
    assert_equal [2, true], [status.exitstatus, err.include?("no thing called “core-1”; did you mean core-0")]
  end

  def test_traces_end_at_the_far_end_or_say_why_not
    out, _, status = basalt("trace", DEMO, "scada-01 eth0")
    assert_equal ["scada-01 eth0 -> pp-01 1 -> core-01 1/3\ncore-01 is reached\n", 0], [out, status.exitstatus]
    out, _, status = basalt("trace", DEMO, "acc-01 9")
    assert_equal ["acc-01 9\nnothing is plugged in there\n", 1], [out, status.exitstatus]
    out, _, status = basalt("trace", DEMO, "scada-01", "--to", "desk-03")
    assert_equal ["scada-01 -> Plant -> fw-01 -> Laboratory -> desk-03\n", 0], [out, status.exitstatus]
    { "core-01 9/9" => /core-01 has no port 9\/9/, "core-01" => /Say a port of core-01/ }.each do |port, message|
      _, err, status = basalt("trace", DEMO, port)
      assert_equal 2, status.exitstatus
      assert_match message, err
    end
  end

  def test_neighbours_are_compared_and_written_into_the_plan
    seen = [["1/20", "acc-02", "20"], ["1/up1", "acc-02", "up1"]]
    entries = seen.map { |port, far, at| { name: port, chassis: [{ name: [{ value: far }] }], port: [{ descr: [{ value: at }] }] } }
    table = file("n.json", JSON.generate(lldp: [{ interface: entries }]))
    out, _, status = basalt("neighbours", DEMO, table, "--of", "core-01", "--to", file("plan.basalt"))
    assert_equal ["adds: core-01 1/20 to acc-02 20 (a cable that the plan did not have)", 1], [out.lines.first.chomp, status.exitstatus]
    assert_match(/^contradicts: core-01 1\/up1 to acc-02 up1/, out)
    assert_match(/^core-01 1\/20 to acc-02 20, laid$/, File.read(file("plan.basalt")))
    _, err, status = basalt("neighbours", DEMO, file("half.json", "{\"lldp\":[{"), "--of", "core-01")
    assert_equal [2, true], [status.exitstatus, err.include?("only the beginning")]
  end

  def test_drawings_are_written_and_the_same_each_time
    _, _, status = basalt("draw", DEMO, "--sheet", "Work orders", "--to", file("a.svg"))
    assert_equal 0, status.exitstatus
    basalt("draw", DEMO, "--sheet", "Work orders", "--to", file("b.svg"))
    assert_equal File.read(file("a.svg")), File.read(file("b.svg"))
    basalt("draw", DEMO, "--to", file("a.png"))
    assert_equal "\x89PNG".b, File.binread(file("a.png"), 4)
    [["--sheet", "Nope", "--to", file("x.svg")], ["--to", file("x.gif")], []].each do |options|
      assert_equal 2, basalt("draw", DEMO, *options)[2].exitstatus
    end
  end

  def test_an_inventory_becomes_statements_once
    things = File.join(APPLICATION_ROOT, "demo/things.csv")
    _, err, status = basalt("import", things, "--to", file("i.basalt"))
    assert_equal 1, status.exitstatus
    assert_match(/line 7: “toaster”.*6 rows taken, 1 rejected/m, err)
    first = File.read(file("i.basalt"))
    basalt("import", things, "--to", file("i.basalt"))
    assert_equal first, File.read(file("i.basalt"))
  end

  def test_help_lists_the_commands
    out, = basalt("--help")
    %w[start check read draw import].each { |command| assert_includes out, "bin/basalt #{command}" }
    assert_equal 2, basalt("wombat")[2].exitstatus
  end
end
