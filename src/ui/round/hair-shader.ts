/** Shaders of hair: ribbons that turn to whoever looks, tubes, and what hair is wound on. */

export const HAIR_VERTEX = /* glsl */ `
attribute vec4 along;
attribute vec3 outward;
attribute vec4 shape;
attribute vec4 lit;
uniform float pixelCm;
uniform float widen;
varying vec3 vTangent;
varying vec3 vNormal;
varying vec3 vAcross;
varying vec3 vView;
varying vec4 vShape;
varying vec4 vLit;
varying float vKind;
void main() {
  vec4 at = modelViewMatrix * vec4(position, 1.0);
  vKind = floor(along.w * 127.0 + 0.5);
  vTangent = normalize(mat3(modelViewMatrix) * along.xyz);
  vNormal = normalize(mat3(modelViewMatrix) * outward);
  vec3 view = normalize(-at.xyz);
  vAcross = normalize(cross(vTangent, view));
  bool isFlat = vKind < 0.5 || vKind > 2.5;
  if (isFlat) {
    float half_ = max(shape.y * widen, 0.5 * pixelCm * -at.z);
    at.xyz += vAcross * shape.x * half_;
  }
  vView = view;
  vShape = shape;
  vLit = lit;
  gl_Position = projectionMatrix * at;
}
`;

export const HAIR_FRAGMENT = /* glsl */ `
uniform sampler2D strands;
uniform vec3 rootTone;
uniform vec3 lengthTone;
uniform float regrownShare;
uniform vec3 keyFrom;
uniform vec3 toolTone;
uniform float isSketch;
varying vec3 vTangent;
varying vec3 vNormal;
varying vec3 vAcross;
varying vec3 vView;
varying vec4 vShape;
varying vec4 vLit;
varying float vKind;

float lobe(vec3 t, vec3 h, float power) {
  float d = dot(t, h);
  return pow(max(0.0, 1.0 - d * d), power);
}

void main() {
  bool isTube = vKind > 0.5 && vKind < 1.5;
  bool isTool = vKind > 1.5 && vKind < 2.5;
  float side = vShape.x;
  vec3 v = normalize(vView);
  vec3 n = (isTube || isTool) ? normalize(vNormal) : normalize(v * sqrt(max(0.05, 1.0 - 0.8 * side * side)) + vAcross * side * 0.9);
  vec3 t = normalize(vTangent);
  vec3 l = normalize(keyFrom);
  vec3 fill = normalize(vec3(-0.75, 0.15, 0.6));
  vec3 rim = normalize(vec3(0.35, 0.5, -0.8));
  float open = vLit.x;
  float key = vLit.y;
  if (isTool) {
    vec3 c = mix(toolTone, vec3(0.9, 0.88, 0.84), 0.12) * (0.35 + 0.45 * max(0.0, dot(n, l)) * key + 0.35 * open * (0.5 + 0.5 * n.y));
    c += 0.12 * pow(max(0.0, dot(n, normalize(l + v))), 24.0) * key;
    gl_FragColor = vec4(c, 1.0);
    #include <colorspace_fragment>
    return;
  }
  vec4 noise = texture2D(strands, vec2(vShape.z * 1.7 + vShape.w * 7.0, (isTube ? 3.0 : 0.5) * side * 0.5 + 0.5 + vShape.w * 13.0));
  float fray = abs(side);
  if (!isTube && vShape.y > 0.05 && isSketch < 0.5 && fray > 0.7 + 0.34 * noise.g) discard;
  float shift = (noise.r - 0.5) * 0.56;
  vec3 tone = mix(rootTone, lengthTone, smoothstep(regrownShare - 0.04, regrownShare + 0.12, vLit.z));
  tone *= mix(1.0, 0.25 + 1.25 * noise.b, 0.75);
  if (vKind > 2.5) tone *= 0.8;
  vec3 ts = normalize(t + n * shift);
  vec3 h = normalize(l + v);
  float wrap = clamp(0.35 + 0.65 * dot(n, l), 0.0, 1.0);
  float around = sqrt(max(0.0, 1.0 - pow(dot(t, l), 2.0)));
  float diffuse = mix(wrap, around * (0.4 + 0.6 * wrap), 0.6);
  vec3 c = tone * (0.34 * open * (0.75 + 0.25 * n.y) + 1.5 * diffuse * key + 0.22 * open * max(0.0, dot(n, fill)));
  float sharp = lobe(normalize(ts + n * 0.10), h, 70.0);
  float soft = lobe(normalize(ts - n * 0.16), h, 16.0);
  vec3 tint = mix(vec3(1.0, 0.9, 0.82), tone / max(0.02, max(tone.r, max(tone.g, tone.b))), 0.6);
  float reach = key * (0.3 + 0.7 * wrap);
  float gloss = vKind > 2.5 ? 0.35 : 1.0;
  c += gloss * reach * (0.085 * sharp * vec3(1.0, 0.93, 0.86) + 0.075 * soft * tint);
  c += gloss * open * (0.016 * lobe(ts, normalize(fill + v), 22.0) + 0.02 * lobe(ts, normalize(rim + v), 14.0)) * tint;
  gl_FragColor = vec4(c, 1.0);
  #include <colorspace_fragment>
}
`;

export const SKIN_VERTEX = /* glsl */ `
attribute vec2 chart;
attribute vec2 lit;
varying vec3 vNormal;
varying vec3 vView;
varying vec2 vChart;
varying vec2 vLit;
varying vec3 vAt;
void main() {
  vec4 at = modelViewMatrix * vec4(position, 1.0);
  vNormal = normalize(mat3(modelViewMatrix) * normal);
  vView = -at.xyz;
  vChart = chart;
  vLit = lit;
  vAt = position;
  gl_Position = projectionMatrix * at;
}
`;

export const SKIN_FRAGMENT = /* glsl */ `
uniform sampler2D scalp;
uniform vec3 skin;
uniform vec3 keyFrom;
varying vec3 vNormal;
varying vec3 vView;
varying vec2 vChart;
varying vec2 vLit;
varying vec3 vAt;
void main() {
  vec3 n = normalize(vNormal);
  vec3 v = normalize(vView);
  vec3 l = normalize(keyFrom);
  vec4 onScalp = texture2D(scalp, vChart / 4.0 + 0.5);
  float inChart = 1.0 - smoothstep(1.7, 1.78, length(vChart));
  vec3 base = mix(skin, onScalp.rgb, onScalp.a * inChart);
  float open = vLit.x;
  float key = vLit.y;
  float ndl = dot(n, l);
  vec3 soft = vec3(0.32, 0.2, 0.16);
  vec3 wrap = clamp((vec3(ndl) + soft) / (1.0 + soft), 0.0, 1.0);
  float cave = smoothstep(-26.0, -15.0, vAt.y) * 0.15 + 0.85;
  vec3 c = base * (vec3(0.34, 0.32, 0.32) * open * (0.65 + 0.35 * n.y) * cave + 0.95 * wrap * mix(0.35, 1.0, key));
  c += base * 0.22 * open * max(0.0, dot(n, normalize(vec3(-0.75, 0.15, 0.6))));
  vec3 h = normalize(l + v);
  float gloss = pow(max(0.0, dot(n, h)), 18.0) * 0.07 + pow(max(0.0, dot(n, h)), 70.0) * 0.05;
  float rim = pow(1.0 - max(0.0, dot(n, v)), 3.0) * 0.05 * open;
  c += (gloss * key + rim) * vec3(1.0, 0.9, 0.82) * (1.0 - onScalp.a * inChart);
  gl_FragColor = vec4(c, 1.0);
  #include <colorspace_fragment>
}
`;
