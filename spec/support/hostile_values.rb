# frozen_string_literal: true

# Values that programs trip over, and random bodies by a JSON Schema. Seeded, so that what fails fails again.
class HostileValues
  NUMBERS = [
    0,
    -0.0,
    -1,
    1,
    2,
    0.5,
    1e-300,
    1e-9,
    1e9,
    1e12,
    1e300,
    1.7976931348623157e308,
    -1e308,
    2**31,
    2**53 + 1,
    2**63,
    -(2**63),
    10**30
  ].freeze
  TEXTS = [
    "",
    " ",
    "0",
    "0 m",
    "-1 m",
    "1e400 m",
    "x" * 300,
    "%",
    "%999999999d",
    "{{",
    "{{ nothing }}",
    "{{ sheet.name | date: '%99d' }}",
    "\u202e1",
    "Å\u030a",
    "😀" * 30,
    "' OR 1=1 --",
    "<img src=x onerror=1>",
    "../../etc/passwd",
    "/etc/passwd",
    "EPSG:0",
    "+proj=merc +k=1e-300",
    "#000000\n",
    "a\tb",
    "null",
    "1,2,3,4,5",
    "nan",
    "inf",
    "9" * 400,
    "[" * 50
  ].freeze
  OTHERS = [nil, true, false, [], {}, [[]], [nil], {"" => ""}, {"a" => {"b" => {"c" => []}}}].freeze

  def initialize(seed) = @random = Random.new(seed)

  def one_of(list) = list[@random.rand(list.length)]

  def chance(share) = @random.rand < share

  # A few of a list.
  def some(list) = list.select { chance(0.3) }

  def any = one_of([one_of(NUMBERS), one_of(TEXTS), one_of(OTHERS), one_of(NUMBERS)])

  # A value by a schema, now and then something else. definitions: the "$defs".
  def by(schema, definitions, depth = 0)
    return any if chance(0.12) || depth > 6
    return by(definitions.fetch(schema["$ref"].split("/").last), definitions, depth) if schema["$ref"]
    return one_of(schema["enum"]) if schema["enum"]
    return by(one_of(schema["oneOf"]), definitions, depth) if schema["oneOf"]
    case Array(schema["type"]).first
    when "object"
      object(schema, definitions, depth)
    when "array"
      Array.new(one_of([0, 1, 2, schema.fetch("minItems", 1), extreme(schema.fetch("maxItems", 2), 40)])) do
        by(schema.fetch("items", {}), definitions, depth + 1)
      end
    when "integer", "number"
      number(schema)
    when "string"
      chance(0.08) ? "x" * extreme(schema.fetch("maxLength", 300), 12_000) : one_of(TEXTS)
    when "boolean"
      chance(0.5)
    else
      any
    end
  end

  # A copy of a document in which a few values somewhere are others.
  def disturbed(document, times: 1)
    copy = JSON.parse(JSON.generate(document))
    times.times { disturb(copy) }
    copy
  end

  private

  def object(schema, definitions, depth)
    properties = schema.fetch("properties", {})
    wanted = properties.select { |name, _| Array(schema["required"]).include?(name) ? chance(0.97) : chance(0.6) }
    wanted.transform_values { |part| by(part, definitions, depth + 1) }.merge(chance(0.1) ? {"zork" => any} : {})
  end

  # The most that a schema lets in, as far as that does not only cost time.
  def extreme(most, bound) = [most, bound].min

  def number(schema)
    return one_of(NUMBERS) if chance(0.3)
    ends = schema.values_at("minimum", "maximum").compact
    ends << schema["exclusiveMinimum"] + 1e-9 if schema["exclusiveMinimum"] && schema["type"] == "number"
    return one_of(ends) if ends.any? && chance(0.4)
    low, high = schema.fetch("minimum", -1000), schema.fetch("maximum", 1000)
    value = low + (high - low) * @random.rand**4
    (schema["type"] == "integer") ? value.round : value
  end

  def disturb(part)
    keys = part.is_a?(Hash) ? part.keys : (0...part.length).to_a
    return if keys.empty?
    containers = keys.select { |key| (part[key].is_a?(Hash) || part[key].is_a?(Array)) && part[key].any? }
    key = one_of((containers.any? && chance(0.85)) ? containers : keys)
    inner = part[key]
    deeper = (inner.is_a?(Hash) || inner.is_a?(Array)) && inner.any? && chance(0.9)
    deeper ? disturb(inner) : part[key] = like(inner)
  end

  def like(value)
    return any if chance(0.25)
    case value
    when Numeric
      one_of(NUMBERS)
    when String
      one_of(TEXTS)
    else
      any
    end
  end
end
