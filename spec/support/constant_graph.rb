# frozen_string_literal: true

require "prism"

# Which files of a source tree use which constants of it, read by Ruby's own parser (Prism); nothing is loaded. A
# constant is known by the file that defines it, or by the room (the folder) where several files of one room open it.
class ConstantGraph
  # from: path of a file; to: of another, or of a room ("view/"); line: in from; constant: as it is written there.
  Use = Struct.new(:from, :to, :line, :constant, keyword_init: true)
  # A call that reaches constants or files by names that are not seen here.
  Reflection = Struct.new(:from, :line, :call, keyword_init: true)

  # One file's constants: those it defines (classes among them), and those it names with the scopes around each.
  class Reading < Prism::Visitor
    REFLECTING = %i[
      const_get
      const_set
      const_missing
      const_source_location
      constants
      constantize
      safe_constantize
      autoload
      require_relative
      eval
      instance_eval
      class_eval
      module_eval
    ].freeze
    # Blocks are read as any code; texts are not.
    EVALUATING = %i[instance_eval class_eval module_eval].freeze
    # Ruby's own, where nothing or Kernel stands before them; gems are no files of the tree.
    OF_FILES = %i[require load].freeze

    attr_reader :defined, :classes, :named, :reflections

    def initialize
      @scopes, @defined, @classes, @named, @reflections = [], [], [], [], []
      super
    end

    def visit_module_node(node) = scope(node)

    def visit_class_node(node)
      visit(node.superclass) if node.superclass
      @classes << scope(node)
    end

    def visit_call_node(node)
      @reflections << [node.name, node.location.start_line] if reflects?(node)
      super
    end

    def visit_constant_write_node(node)
      @defined << [*@scopes, node.name.to_s].join("::")
      visit(node.value)
    end

    def visit_constant_read_node(node) = name(node)

    def visit_constant_path_node(node)
      node.slice.match?(/\A[A-Z:][\w:]*\z/) ? name(node) : super
    end

    # As send and method take it.
    def visit_symbol_node(node)
      name = node.unescaped.to_sym
      @reflections << [name, node.location.start_line] if REFLECTING.include?(name)
    end

    private

    def reflects?(node)
      return own_file?(node) if OF_FILES.include?(node.name)
      REFLECTING.include?(node.name) && !(EVALUATING.include?(node.name) && node.block)
    end

    def own_file?(node)
      return false unless node.receiver.nil? || node.receiver.slice == "Kernel"
      text = node.arguments&.arguments&.first
      !text.is_a?(Prism::StringNode) || text.unescaped.match?(%r{\A(tile_loom|app|\.|/)})
    end

    def name(node) = @named << [@scopes.dup, node.slice, node.location.start_line]

    # Returns its name.
    def scope(node)
      @scopes.push(node.constant_path.slice)
      name = @scopes.join("::")
      @defined << name
      visit(node.body) if node.body
      @scopes.pop
      name
    end
  end

  # sources: {path → Ruby text}; root: scopes that lie around all of them though the texts do not say so.
  def initialize(sources, root: [])
    @root = root
    @readings = sources.transform_values { |text| Reading.new.tap { |reading| reading.visit(Prism.parse(text).value) } }
  end

  # All uses of one file's constants by another.
  def uses
    @readings.flat_map do |from, reading|
      reading.named.filter_map do |scopes, constant, line|
        to = home(scopes, constant)
        Use.new(from: from, to: to, line: line, constant: constant) if to && to != from && to != room(from)
      end
    end
  end

  def reflections
    @readings.flat_map do |from, reading|
      reading.reflections.map { |call, line| Reflection.new(from: from, line: line, call: call) }
    end
  end

  # {class → rooms} of those that are opened in several.
  def split_classes
    classes = @readings.values.flat_map(&:classes).uniq
    places.select { |name, paths| classes.include?(name) && rooms(paths).length > 1 }.transform_values { rooms(_1) }
  end

  private

  # The file that defines a constant as it is seen from within these scopes, or nil where it is not of this tree: the
  # whole name or, of a constant within a known one, the longest part of it.
  def home(scopes, constant)
    parts = constant.delete_prefix("::").split("::")
    around = constant.start_with?("::") ? [[]] : (scopes.length.downto(0).map { |depth| scopes.first(depth) } + [@root])
    parts
      .length
      .downto(1) do |length|
        around.each do |scope|
          found = homes[[*scope, *parts.first(length)].join("::")]
          return found if found
        end
      end
    nil
  end

  # {constant → path of its file, or its room}. What several rooms open is nobody's: a namespace of the house.
  def homes
    @homes ||=
      places
        .select { |_, paths| rooms(paths).length == 1 }
        .transform_values { |paths| paths.one? ? paths.first : room(paths.first) }
  end

  # {constant → paths of the files that open it}
  def places
    @places ||=
      @readings
        .flat_map do |path, reading|
          reading.defined.map { |name| [[*@root, name].join("::").delete_prefix("::"), path] }
        end
        .group_by(&:first)
        .transform_values { |found| found.map(&:last).uniq }
  end

  def rooms(paths) = paths.map { |path| room(path) }.uniq

  def room(path) = path[%r{\A[^/]+/}] || ""
end
